<?php

declare(strict_types=1);

namespace App\Air;

/** How long the talker bears with a chat server. */
final readonly class Patience
{
    /**
     * @param  float  $welcomeSeconds  a server welcomes within this, or is left
     * @param  float  $silentSeconds  one that sends no whole line for this long has gone without saying so; it is asked
     *     every thirty seconds
     * @param  int  $floodedSeconds  after one another of more lines than may be, until the server is left
     */
    public function __construct(
        public float $welcomeSeconds = 30.0,
        public float $silentSeconds = 75.0,
        public int $floodedSeconds = 10,
    ) {
    }
}
