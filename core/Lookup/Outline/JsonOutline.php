<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

use JsonException;
use SilverParrot\Lookup\Paths\BadAnswer;

/**
 * JSON as a tree. The way to an entry of a list goes by what tells it from the others, and by its place only where
 * nothing does: a list that comes in another order tomorrow leads to the same entry.
 */
final class JsonOutline
{
    /** Keys by which entries are told apart, best first; then any other. */
    private const TELLING = ['id', 'key', 'code', 'slug', 'name', 'kind', 'type', 'title', 'label'];

    /** What is another tomorrow tells nobody anything: moments, times, numbers with a fraction. */
    private const PASSING = '/^[+-]?\d+([.,:\/-]\d+)+|^\d{4}-\d\d/';

    private int $left = Outlines::MOST;

    /** @throws BadAnswer */
    public function of(string $body): OutlineNode
    {
        try {
            $answer = json_decode(
                (string) preg_replace('/^\xEF\xBB\xBF/', '', $body),
                true,
                100,
                JSON_THROW_ON_ERROR | JSON_BIGINT_AS_STRING | JSON_INVALID_UTF8_SUBSTITUTE,
            );
        } catch (JsonException $broken) {
            throw new BadAnswer($broken->getMessage());
        }

        return $this->node('', $answer, '');
    }

    private function node(string $label, mixed $value, string $path): OutlineNode
    {
        if (! is_array($value)) {
            return new OutlineNode($label, ...self::plain($value), path: $path === '' ? '@' : $path);
        }
        $inside = [];
        $telling = array_is_list($value) ? self::telling($value) : '';
        foreach ($value as $key => $one) {
            if (--$this->left < 0) {
                break;
            }
            $inside[] = array_is_list($value)
                ? $this->node((string) ($key + 1), $one, $path.self::entry($value, $telling, (int) $key))
                : $this->node((string) $key, $one, ($path === '' ? '' : "$path.").self::key((string) $key));
        }

        return new OutlineNode($label, null, '', $path, $inside);
    }

    /** @return array{string, string} as it is shown, and what it is */
    private static function plain(mixed $value): array
    {
        return match (true) {
            is_string($value) => [mb_substr($value, 0, Outlines::SHOWN), 'text'],
            is_int($value), is_float($value) => [(string) json_encode($value), 'number'],
            is_bool($value) => [$value ? 'true' : 'false', 'yes_no'],
            default => ['', 'nothing'],
        };
    }

    private static function key(string $key): string
    {
        return preg_match('/^[A-Za-z_][A-Za-z0-9_]*$/D', $key) === 1
            ? $key
            : (string) json_encode($key, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @param  list<mixed>  $entries */
    private static function entry(array $entries, string $telling, int $place): string
    {
        $of = static fn (mixed $entry): mixed => is_array($entry) && $telling !== '' ? $entry[$telling] ?? null : null;
        $by = $of($entries[$place]);
        if ($by === null) {
            return "[$place]";
        }
        // Among those that are alike it is the first, the second.
        $before = count(array_filter(
            array_slice($entries, 0, $place),
            static fn (mixed $entry): bool => $of($entry) === $by,
        ));

        return '[?'.self::key($telling).'=='.match (true) {
            is_string($by) && ! str_contains($by, "'") && ! str_contains($by, '\\') => "'$by'",
            default => '`'.str_replace('`', '\\`', (string) json_encode($by)).'`',
        }."] | [$before]";
    }

    /**
     * @param  list<mixed>  $entries
     * @return string the key that every entry has, each with another value; else one by which they come in groups;
     *     empty where there is none
     */
    private static function telling(array $entries): string
    {
        $first = $entries[0] ?? null;
        if (count($entries) < 2 || ! is_array($first)) {
            return '';
        }
        $keys = array_map(strval(...), array_keys($first));
        $named = array_values(array_intersect(self::TELLING, $keys));
        $groups = '';
        foreach ([...$named, ...array_diff($keys, self::TELLING)] as $key) {
            $values = self::values($entries, $key, in_array($key, $named, true));
            if ($values === count($entries)) {
                return $key;
            }
            $groups = $groups === '' && $values > 1 && in_array($key, $named, true) ? $key : $groups;
        }

        return $groups;
    }

    /**
     * @param  list<mixed>  $entries
     * @return int how many values there are of a key; 0 where an entry has none that tells anything
     */
    private static function values(array $entries, string $key, bool $isNamed): int
    {
        $values = [];
        foreach ($entries as $entry) {
            $value = is_array($entry) ? $entry[$key] ?? null : null;
            $isTelling = is_int($value)
                ? $isNamed
                : is_string($value) && mb_strlen($value) <= 60 && preg_match(self::PASSING, $value) !== 1;
            if (! $isTelling) {
                return 0;
            }
            $values[json_encode($value)] = true;
        }

        return count($values);
    }
}
