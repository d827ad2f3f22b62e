<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

/** What people type into the fields of a gate's form, as far as several gates have such fields. */
final class TypedFields
{
    /** @return list<string> one a line, or with commas between */
    public static function lines(mixed $text): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), preg_split('/[\r\n,]++/', is_string($text) ? $text : '') ?: []),
                static fn (string $line): bool => $line !== '',
            ),
        );
    }

    /** @return list<string> words with spaces or commas between */
    public static function words(mixed $text): array
    {
        return preg_split('/[\s,]++/u', is_string($text) ? $text : '', -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** A whole number, or what was typed instead of one. */
    public static function whole(mixed $text): int|string
    {
        $text = is_string($text) ? trim($text) : '';

        return ctype_digit($text) && strlen($text) < 10 ? (int) $text : $text;
    }

    /**
     * Those of some fields that were filled in, as whole numbers.
     *
     * @param  array<array-key, mixed>  $fields
     * @return array<string, int|string>
     */
    public static function wholes(array $fields, string ...$names): array
    {
        $wholes = [];
        foreach ($names as $name) {
            $whole = self::whole($fields[$name] ?? '');
            if ($whole !== '') {
                $wholes[$name] = $whole;
            }
        }

        return $wholes;
    }
}
