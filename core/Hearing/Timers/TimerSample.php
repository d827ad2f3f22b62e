<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Timers;

use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Timer;

/** Worked samples to begin a timer with. Each says something right away, in any pack. */
enum TimerSample: string
{
    /** For those who are new. */
    case Welcome = 'welcome';

    /** That one can follow. */
    case Follow = 'follow';

    /** Addresses, one after another. */
    case Links = 'links';

    /** When the next stream is. */
    case Event = 'event';

    public function label(): string
    {
        return match ($this) {
            self::Welcome => 'a welcome',
            self::Follow => 'a reminder to follow',
            self::Links => 'links',
            self::Event => 'a coming event',
        };
    }

    /** @param  int  $lines  by people between two sayings, as this chat’s pace has it */
    public function timer(int $lines): Timer
    {
        $said = array_map(Say::response(...), match ($this) {
            self::Welcome => ['New here? Say ahoy, and ask what anything is.', 'Welcome aboard, whoever just came in.'],
            self::Follow => ['If you like what you see, follow [channel.name]: it costs nothing.'],
            self::Links => [
                'Charts: https://charts.lantern-cove.example',
                'The shed’s book: https://book.lantern-cove.example',
            ],
            self::Event => [
                '[when channel.next]The next stream begins in [until channel.next].'
                    .'[else]When the next stream is, stands on the page of the channel.[end]',
            ],
        });

        return new Timer($this->value, $said, $this === self::Follow ? 60 : 30, $lines);
    }
}
