<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

/** How much is written in a chat, and what that means for timers. */
final readonly class ChatPace
{
    /** Lines from which on a chat tells something. */
    private const ENOUGH = 50;

    private const USUAL = 10;

    /** @param  int|null  $halfHour  lines in half an hour of an evening; null where too little was heard to say so */
    private function __construct(public ?int $halfHour)
    {
    }

    public static function of(ChatSample $sample): self
    {
        $evenings = [];
        foreach ($sample->lines as $line) {
            $evenings[$line['evening']][] = $line['second'];
        }
        $seconds = 0;
        foreach ($evenings as $written) {
            $seconds += max($written) - min($written);
        }

        return new self(
            count($sample->lines) < self::ENOUGH || $seconds === 0
                ? null
                : (int) round(count($sample->lines) * $sample->every * 1_800 / $seconds),
        );
    }

    /** A third of what is written in half an hour, within 5 to 20 (common practice). */
    public function lines(): int
    {
        return $this->halfHour === null ? self::USUAL : max(5, min(20, intdiv($this->halfHour, 3)));
    }
}
