<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;

/**
 * What people answered to questions themselves: soon, to whoever asked by name, or else by the streamer. A reply is
 * drafted of it; what people typed stays text.
 */
final class DraftedReplies
{
    /** Milliseconds behind a question in which an answer to whoever asked is looked for. */
    private const TO_THEM = 90_000;

    /** The same for one that names nobody: the streamer's, and soon. */
    private const BY_STREAMER = 30_000;

    /** Questions that wait for an answer at once. */
    private const WAITING = 20;

    /** Different answers to one question. */
    private const ANSWERS = 10;

    /** Characters of an answer that is taken for one. */
    private const LONGEST = 300;

    /** @var list<array{string, ChatLine}> what was asked lately, oldest first: which question, and the line */
    private array $waiting = [];

    /** @var array<string, array<string, array{times: int, by: string}>> by question and by what was answered */
    private array $answers = [];

    public function asked(string $question, ChatLine $line): void
    {
        $this->waiting[] = [$question, $line];
        $this->waiting = array_slice($this->waiting, -self::WAITING);
    }

    /** A line that asks nothing itself may be somebody's answer. */
    public function answered(ChatLine $line): void
    {
        $waiting = [];
        $isTaken = false;
        foreach (array_reverse($this->waiting) as [$question, $asked]) {
            $after = $line->at->millis - $asked->at->millis;
            if ($after > self::TO_THEM) {
                continue;
            }
            if (! $isTaken && ! $line->by->is($asked->by->login) && self::isTo($line, $asked, $after)) {
                $this->keep($question, self::withoutNames($line->text, $asked), $line->by->name);
                $isTaken = true;
            } else {
                array_unshift($waiting, [$question, $asked]);
            }
        }
        $this->waiting = $waiting;
    }

    /** @return array{reply: string, by: string}|null what was answered most often, as a response; null for nothing */
    public function of(string $question): ?array
    {
        $answers = $this->answers[$question] ?? [];
        uasort($answers, static fn (array $a, array $b): int => $b['times'] <=> $a['times']);
        $best = array_key_first($answers);

        return $best === null ? null : ['reply' => (string) $best, 'by' => $answers[$best]['by']];
    }

    private static function isTo(ChatLine $line, ChatLine $asked, int $after): bool
    {
        return self::names($line->text, $asked) !== $line->text
            || ($after <= self::BY_STREAMER && $line->by->levels->has(Level::Streamer));
    }

    /** The text with something else where it names whoever asked. */
    private static function names(string $text, ChatLine $asked, string $instead = ''): string
    {
        if (mb_stripos($text, $asked->by->login) === false && mb_stripos($text, $asked->by->name) === false) {
            return $text;
        }
        $names = array_unique([$asked->by->name, $asked->by->login]);
        usort($names, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $any = implode('|', array_map(static fn (string $one): string => preg_quote($one, '/'), array_filter($names)));

        return $any === '' ? $text : preg_replace_callback(
            "/(?<![\p{L}\p{N}_])@?(?:$any)(?![\p{L}\p{N}_])/iu",
            static fn (): string => $instead,
            $text,
        ) ?? $text;
    }

    private static function withoutNames(string $text, ChatLine $asked): string
    {
        return trim(self::names(strtr(mb_substr($text, 0, self::LONGEST), ['[' => '[[']), $asked, '[caller]'));
    }

    private function keep(string $question, string $answer, string $by): void
    {
        $known = $this->answers[$question][$answer] ?? null;
        if ($known === null && count($this->answers[$question] ?? []) >= self::ANSWERS) {
            return;
        }
        $this->answers[$question][$answer] = ['times' => ($known['times'] ?? 0) + 1, 'by' => $known['by'] ?? $by];
    }
}
