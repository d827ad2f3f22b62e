<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** How often the parrot answers at most, over all commands: cooldowns do not stop people who rotate commands. */
final readonly class Flood
{
    public const WINDOW_SECONDS = 30;

    public const MOST = 1_000;

    /**
     * @param  int  $person  answers to one person within the window; 0: no limit
     * @param  int  $channel  answers to everybody together; 0: no limit
     */
    public function __construct(public int $person = 5, public int $channel = 20)
    {
    }
}
