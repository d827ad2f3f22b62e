<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Suggestions;
use SilverParrot\Source\TextTrimmer;

/** A line that begins with a command's trigger. */
final readonly class TriggerMatch
{
    private function __construct(public Command $command, public string $typed, public string $words)
    {
    }

    public static function in(Pack $pack, string $line): ?self
    {
        [$first, $words] = self::split($line);
        $command = $pack->byTrigger[Fold::caseless($first)] ?? null;

        return $command === null ? null : new self($command, $first, $words);
    }

    /** What a line begins with, folded: where it sets a command off, this is its trigger. */
    public static function word(string $line): string
    {
        return Fold::caseless(self::split($line)[0]);
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
        [$first, $words] = self::split($line);
        $has = static fn (Triggers $triggers): bool => in_array(
            Fold::caseless($first),
            array_map(Fold::caseless(...), $triggers->all()),
            true,
        );
        if (! $has($from) || $has($to)) {
            return $line;
        }

        return $words === '' ? $to->word : $to->word.' '.$words;
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
