<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use SilverParrot\Lookup\Parameters\OneOf;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Parameters\PlainParts;
use SilverParrot\Lookup\Parameters\WholeNumber;

/**
 * What a parameter may be, in one field: "porth, tregarn", "1 to 99", "2-4 letters, "-", 3 digits", "the channel’s
 * language"; empty for anything.
 */
final class TypedRule
{
    public const LANGUAGE = 'the channel’s language';

    /** How kinds of parts are written. */
    private const KINDS = ['letters' => 'letters', 'digits' => 'digits', 'letters or digits' => 'letters_or_digits'];

    /** @return array<string, mixed> as a pack document has it */
    public static function read(string $typed): array
    {
        $parts = self::parts($typed);

        return match (true) {
            $typed === '' => [],
            in_array($typed, [self::LANGUAGE, "the channel's language"], true) => ['language' => true],
            preg_match('/^(-?\d{1,15})\s*to\s*(-?\d{1,15})$/D', $typed, $part) === 1 => [
                'number' => ['least' => (int) $part[1], 'most' => (int) $part[2]],
            ],
            $parts !== [] => ['parts' => $parts],
            default => ['one_of' => array_values(array_filter(
                array_map(trim(...), explode(',', $typed)),
                static fn (string $one): bool => $one !== '',
            ))],
        };
    }

    public static function write(Parameter $parameter): string
    {
        $rule = $parameter->rule;

        return match (true) {
            $parameter->isLanguage => self::LANGUAGE,
            $rule instanceof OneOf => implode(', ', $rule->words),
            $rule instanceof WholeNumber => "{$rule->least} to {$rule->most}",
            $rule instanceof PlainParts => implode(', ', array_map(
                static fn (array $part): string => isset($part['text'])
                    ? "\"{$part['text']}\""
                    : self::times($part['least'], $part['most']).' '.array_search($part['kind'], self::KINDS, true),
                $rule->parts,
            )),
            default => '',
        };
    }

    private static function times(int $least, int $most): string
    {
        return $least === $most ? (string) $least : "$least-$most";
    }

    /** @return list<string> what stands between commas that are in no quotes */
    private static function between(string $typed): array
    {
        preg_match_all('/"[^"]*"|[^",]+|[",]/u', $typed, $tokens);
        $pieces = [''];
        foreach ($tokens[0] as $token) {
            $token === ',' ? $pieces[] = '' : $pieces[count($pieces) - 1] .= $token;
        }

        return array_map(trim(...), $pieces);
    }

    /** @return list<array<string, mixed>> empty where it is no such pattern */
    private static function parts(string $typed): array
    {
        $parts = [];
        $kinds = implode('|', array_keys(self::KINDS));
        $isPattern = false;
        foreach (self::between($typed) as $one) {
            if (preg_match('/^"([^"]{1,20})"$/Du', $one, $text) === 1) {
                $parts[] = ['text' => $text[1]];
            } elseif (preg_match("/^(\d{1,3})(?:\s*-\s*(\d{1,3}))?\s+($kinds)$/D", $one, $part) === 1) {
                $isPattern = true;
                $parts[] = [self::KINDS[$part[3]] => [
                    (int) $part[1],
                    $part[2] === '' ? (int) $part[1] : (int) $part[2],
                ]];
            } else {
                return [];
            }
        }

        return $isPattern ? $parts : [];
    }
}
