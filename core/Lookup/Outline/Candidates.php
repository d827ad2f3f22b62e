<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\BadAnswer;

/** The entries of an answer, one of which a path takes: which of them is meant, somebody says who sees them all. */
final class Candidates
{
    public const MOST = 20;

    /** Of what an entry says beside its value. */
    public const TELLS = 5;

    /**
     * @param  string  $path  of the reading that takes the value of one of them: "ports[0].id", "/ports/port[1]/@id"
     * @return list<Candidate> of the longest list whose entries have such a value
     *
     * @throws BadAnswer
     */
    public static function in(AnswerFormat $format, string $body, string $path): array
    {
        return $format === AnswerFormat::Html
            ? PageCandidates::in($body, $path)
            : self::amongKeys(Outlines::of($format, $body), $path);
    }

    /** @return list<Candidate> */
    private static function amongKeys(OutlineNode $answer, string $path): array
    {
        // What it ends in, behind whatever is no part of a key.
        $words = preg_split('/[^\p{L}\p{N}_-]+/u', trim($path, " \t\r\n\"")) ?: [''];
        $label = $words[count($words) - 1];
        if ($label === '') {
            return [];
        }
        $best = [];
        foreach ($answer->all() as $node) {
            $found = [];
            foreach ($node->inside as $entry) {
                $candidate = self::of($entry, $label);
                $found = $candidate === null ? $found : [...$found, $candidate];
            }
            $best = count($found) > count($best) ? $found : $best;
        }

        return array_slice($best, 0, self::MOST);
    }

    private static function of(OutlineNode $entry, string $label): ?Candidate
    {
        $value = null;
        $tells = [];
        foreach ($entry->inside as $one) {
            $name = ltrim($one->label, '@');
            if ($one->value === null || $one->value === '') {
                continue;
            }
            if ($value === null && $name === $label) {
                $value = $one->value;
            } elseif (count($tells) < self::TELLS) {
                $tells[] = [$name, $one->value];
            }
        }

        return $value === null ? null : new Candidate($value, $tells);
    }
}
