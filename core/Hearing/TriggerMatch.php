<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Source\LooseFold;
use SilverParrot\Source\Suggestions;
use SilverParrot\Source\TextTrimmer;

/** A line that begins with a command's trigger. */
final readonly class TriggerMatch
{
    /** Words of one trigger. */
    public const MOST_WORDS = 5;

    /** What shows in ASCII, without the blank. */
    private const PLAIN = '!"#$%&\'()*+,-./0123456789:;<=>?@ABCDEFGHIJKLMNOPQRSTUVWXYZ[\\]^_`'
        .'abcdefghijklmnopqrstuvwxyz{|}~';

    private function __construct(public Command $command, public string $typed, public string $words)
    {
    }

    /** The longest trigger wins, and of equals one that is spelt so before one that is meant. */
    public static function in(Pack $pack, string $line): ?self
    {
        $first = self::plainFirst($line) ?? self::split($line)[0];
        // Nearly no line is a command: none whose first word begins no trigger.
        if (! $pack->beginsTrigger($first)) {
            return null;
        }
        foreach (self::beginnings($line, $pack->triggerWords) as [$typed, $words]) {
            $command = $pack->byTrigger[Fold::caseless($typed)] ?? $pack->byLooseTrigger[LooseFold::of($typed)] ?? null;
            if ($command !== null) {
                return new self($command, $typed, $words);
            }
        }

        return null;
    }

    /**
     * @return array{string, string|null}|null a first word that looks like a trigger and is none, and the nearest one
     */
    public static function mistyped(Pack $pack, string $line): ?array
    {
        [$first] = self::split($line);
        // Words begin with a letter, and are most of what is said: only behind a sign may a trigger have been meant.
        if (mb_strlen($first) < 2 || preg_match('/^[\p{P}\p{S}]/u', $first) !== 1) {
            return null;
        }
        $triggers = array_map(strval(...), array_keys($pack->byTrigger));
        $nearest = Suggestions::to($first, $triggers);
        $mark = mb_substr($first, 0, 1);
        foreach ($nearest === null ? $triggers : [] as $trigger) {
            if (str_starts_with($trigger, $mark)) {
                return [$first, null];
            }
        }

        return $nearest === null ? null : [$first, $nearest];
    }

    /**
     * The line as it is said after a command was renamed: a first word that the command lost becomes the one it is
     * called by.
     */
    public static function renamed(string $line, Triggers $from, Triggers $to): string
    {
        $has = static fn (Triggers $triggers, string $typed): bool => in_array(
            LooseFold::of($typed),
            array_map(LooseFold::of(...), $triggers->all()),
            true,
        );
        foreach (self::beginnings($line, self::MOST_WORDS) as [$typed, $words]) {
            if ($has($to, $typed)) {
                return $line;
            }
            if ($has($from, $typed)) {
                return $words === '' ? $to->word : $to->word.' '.$words;
            }
        }

        return $line;
    }

    /** @return list<array{string, string}> the first words of a line and what follows, the most words first */
    private static function beginnings(string $line, int $most): array
    {
        if ($most === 1) {
            return [self::split($line)];
        }
        $line = TextTrimmer::withoutUnseen(mb_substr(mb_scrub($line), 0, Limits::LINE));
        $beginnings = [];
        for ($count = $most; $count > 0; $count--) {
            $parts = preg_split('/[\s\p{Z}]++/u', $line, $count + 1) ?: [''];
            if (count($parts) >= $count) {
                $beginnings[] = [implode(' ', array_slice($parts, 0, $count)), $parts[$count] ?? ''];
            }
        }

        return $beginnings;
    }

    /** The first word where it is ASCII with a blank or nothing behind it, as it nearly always is. */
    private static function plainFirst(string $line): ?string
    {
        $length = strspn($line, self::PLAIN);

        return $length > 0 && $length <= Limits::LINE && ($line[$length] ?? ' ') === ' '
            ? substr($line, 0, $length)
            : null;
    }

    /**
     * The first word, and what follows. Characters that show nothing are put before and behind lines by some chat
     * programs, to send the same line twice.
     *
     * @return array{string, string}
     */
    private static function split(string $line): array
    {
        $line = mb_substr(mb_scrub($line), 0, Limits::LINE);
        $parts = preg_split('/[\s\p{Z}]++/u', TextTrimmer::withoutUnseen($line), 2) ?: [''];

        return [$parts[0], $parts[1] ?? ''];
    }
}
