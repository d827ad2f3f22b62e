<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** By what a turn is known, so that what comes twice is taken once. */
final readonly class EventKey
{
    private function __construct(public string $event, public ?int $tally)
    {
    }

    /** Something that was heard; each key is kept for as long as it may come again. */
    public static function event(string $key): self
    {
        return new self($key, null);
    }

    /** A batch of bookkeeping: its number is kept, and one that is not higher is not taken. */
    public static function tally(int $number): self
    {
        return new self('', $number);
    }

    /** What cannot come twice, or does no harm if it does. */
    public static function none(): self
    {
        return new self('', null);
    }
}
