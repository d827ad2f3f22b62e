<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Phrases;

/**
 * Reads a phrase: words in their order; "..", "..." or "…" for a gap of up to GAP words; "(boat/ship)" for
 * alternatives, of which one may be empty, and which may be a part of a word, "boat(s/)"; a backslash makes the sign
 * behind it an ordinary one.
 */
final class PhraseSyntax
{
    /** Words that a gap leaves out, at most. */
    public const GAP = 6;

    /** Phrases that alternatives may make of one. */
    private const MOST = 64;

    /** Words of one. */
    private const WORDS = 12;

    /** A gap, in a text of which nothing else is read any more: nobody types it. */
    private const LEFT_OUT = "\0";

    /**
     * @param  array<string, true>  $emotes  by their words
     * @return list<list<string|null>>|PhraseFlaw each phrase that it stands for, as words and gaps (null)
     */
    public static function read(string $text, array $emotes = []): array|PhraseFlaw
    {
        $parts = self::parts($text);
        if ($parts instanceof PhraseFlaw) {
            return $parts;
        }
        $texts = [''];
        foreach ($parts as $ways) {
            $longer = [];
            foreach ($texts as $before) {
                foreach ($ways as $way) {
                    $longer[] = $before.$way;
                }
            }
            $texts = $longer;
            if (count($texts) > self::MOST) {
                return PhraseFlaw::TooMany;
            }
        }
        $read = [];
        foreach ($texts as $one) {
            $phrase = self::words($one, $emotes);
            if ($phrase instanceof PhraseFlaw) {
                return $phrase;
            }
            if ($phrase !== []) {
                $read[implode(self::LEFT_OUT, array_map(strval(...), $phrase))] = $phrase;
            }
        }

        return $read === [] ? PhraseFlaw::Empty : array_values($read);
    }

    /**
     * @param  array<string, true>  $emotes
     * @return list<string|null>|PhraseFlaw empty where no word is in it
     */
    private static function words(string $text, array $emotes): array|PhraseFlaw
    {
        $stretches = array_map(
            static fn (string $stretch): array => LineWords::of($stretch, $emotes),
            explode(self::LEFT_OUT, $text),
        );
        $words = array_merge(...$stretches);
        $phrase = [];
        foreach (array_filter($stretches) as $stretch) {
            $phrase = $phrase === [] ? $stretch : [...$phrase, null, ...$stretch];
        }

        return match (true) {
            $words === [] => [],
            count($words) > self::WORDS => PhraseFlaw::TooMany,
            $stretches[0] === [] || $stretches[count($stretches) - 1] === [] => PhraseFlaw::OnlyGap,
            default => $phrase,
        };
    }

    /** @return list<list<string>>|PhraseFlaw texts that stand one behind the other, each in the ways that it may be */
    private static function parts(string $text): array|PhraseFlaw
    {
        $parts = [];
        $plain = '';
        /** @var list<string>|null $ways in a bracket, those before this one */
        $ways = null;
        preg_match_all('/\\\\.|\.{2,}|…|./su', strtr(mb_scrub($text), [self::LEFT_OUT => ' ']), $signs);
        foreach ($signs[0] as $sign) {
            if ($sign === '(' && $ways !== null) {
                return PhraseFlaw::BracketWithin;
            }
            if ($sign === ')' && $ways === null) {
                return PhraseFlaw::BracketStray;
            }
            if ($sign === '(') {
                $parts[] = [$plain];
                [$plain, $ways] = ['', []];
            } elseif ($sign === ')') {
                $parts[] = [...$ways, $plain];
                [$plain, $ways] = ['', null];
            } elseif ($sign === '/' && $ways !== null) {
                $ways[] = $plain;
                $plain = '';
            } elseif ($sign === '…' || str_starts_with($sign, '..')) {
                $plain .= self::LEFT_OUT;
            } else {
                $plain .= mb_strlen($sign) === 2 ? mb_substr($sign, 1) : $sign;
            }
        }

        return $ways === null ? [...$parts, [$plain]] : PhraseFlaw::BracketOpen;
    }
}
