<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\Level;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Source\Suggestions;

/**
 * A chat written as lines: “# name: level, level” for who somebody is, “+12s name: text” for what they say when,
 * “+12s name (whispers): text” for what they say to the parrot alone.
 */
final readonly class ChatFile
{
    /** Behind a name. */
    private const WHISPERS = '(whispers)';

    /**
     * @param  array<string, list<Level>>  $levels  by folded name
     * @param  array<string, string>  $names  as they are written where somebody's levels stand, by folded name
     * @param  list<TimedLine>  $lines
     * @param  list<Finding>  $findings
     */
    private function __construct(
        public array $levels,
        public array $lines,
        public array $findings,
        public array $names = [],
    ) {
    }

    /** @param  int  $most  lines that are kept */
    public static function read(string $text, int $most = Limits::REHEARSAL_LINES): self
    {
        $levels = $names = [];
        $lines = [];
        $findings = [];
        $from = 0;
        $last = 0;
        // A mark of the order of bytes is none of the text's (Unicode, 23.8), and other signs for the end of a line
        // stand in what people write.
        $parts =
            preg_split(
                '/(\r\n|\n|\r)/',
                (string) preg_replace('/^\x{FEFF}/u', '', mb_scrub($text)),
                flags: PREG_SPLIT_DELIM_CAPTURE,
            )
            ?: [];
        for ($index = 0; isset($parts[2 * $index]); $index++) {
            $line = $parts[2 * $index];
            $span = new Span($from, $from + mb_strlen($line));
            $from = $span->to + strlen($parts[2 * $index + 1] ?? '');
            $number = ['number' => (string) ($index + 1)];
            if (trim($line) === '' || preg_match('/^##/', $line) === 1) {
                continue;
            }
            if (str_starts_with($line, '#') && str_contains($line, ':')) {
                [$name, $words] = explode(':', substr($line, 1), 2);
                $folded = Fold::caseless(trim($name));
                $names[$folded] = trim($name);
                [$levels[$folded], $unknown] = self::levels($words);
                foreach ($unknown as $word) {
                    $nearest = Suggestions::to($word, Level::words());
                    $findings[] = new Finding(
                        ChatFlaw::UnknownLevel,
                        $span,
                        data: $number + ['level' => $word] + ($nearest === null ? [] : ['nearest' => $nearest]),
                    );
                }

                continue;
            }
            $timed = self::timed($line);
            if ($timed === null) {
                $findings[] = new Finding(ChatFlaw::NotALine, $span, data: $number);

                continue;
            }
            [$seconds, $by, $said, $isWhisper] = $timed;
            if ($seconds < $last) {
                $findings[] = new Finding(ChatFlaw::BackInTime, $span, data: $number);
            }
            $last = max($last, $seconds);
            $lines[] = new TimedLine($seconds * 1000, $by, $said, isWhisper: $isWhisper);
        }
        if (count($lines) > $most) {
            $findings[] = new Finding(ChatFlaw::TooManyLines, data: ['limit' => (string) $most]);
        }

        return new self($levels, array_slice($lines, 0, $most), $findings, $names);
    }

    /** One line alone: “+12s name: text”; null for what is no such line. */
    public static function line(string $text): ?TimedLine
    {
        $timed = self::timed($text);

        return $timed === null ? null : new TimedLine($timed[0] * 1000, $timed[1], $timed[2], isWhisper: $timed[3]);
    }

    /** @return int|null seconds since the start, as “+1m5s” says; null for what says nothing of the kind */
    public static function seconds(string $time): ?int
    {
        return strlen($time) <= 12
            && preg_match('/^\+(?:(\d+)m)?(?:(\d+)s)?$/D', $time, $part) === 1
            && isset($part[1])
                ? (int) $part[1] * 60 + (int) ($part[2] ?? 0)
                : null;
    }

    /** “+1m5s” */
    public static function time(int $seconds): string
    {
        return $seconds < 60 ? "+{$seconds}s" : '+'.intdiv($seconds, 60).'m'.($seconds % 60).'s';
    }

    /** @return array{int, string, string, bool}|null seconds, who, what, privately; null for what is no such line */
    private static function timed(string $line): ?array
    {
        [$time, $rest] = explode(' ', str_replace("\t", ' ', $line), 2) + [1 => ''];
        [$by, $said] = explode(':', ltrim($rest), 2) + [1 => ''];
        $isWhisper = str_ends_with($by, self::WHISPERS);
        $by = $isWhisper ? rtrim(substr($by, 0, -strlen(self::WHISPERS))) : $by;
        if (
            ! str_contains($rest, ':')
            || $by === ''
            || str_contains($by, ' ')
            || mb_strlen($by) > 60
            || ($seconds = self::seconds($time)) === null
        ) {
            return null;
        }

        return [$seconds, $by, ltrim($said, ' '), $isWhisper];
    }

    /** @return array{list<Level>, list<string>} */
    private static function levels(string $text): array
    {
        $levels = [];
        $unknown = [];
        foreach (explode(',', $text) as $typed) {
            $word = trim($typed);
            if ($word === '') {
                continue;
            }
            $level = Level::named($word);
            $level === null ? $unknown[] = $word : $levels[] = $level;
        }

        return [$levels, $unknown];
    }
}
