<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

/** Somebody says something at a time. */
final readonly class TimedLine
{
    /**
     * @param  int  $millis since the start
     * @param  string  $key  of the line on the air that this one is, for its luck; empty for any other
     * @param  bool  $isWhisper  whether it is said to the parrot alone
     */
    public function __construct(
        public int $millis,
        public string $by,
        public string $text,
        public string $key = '',
        public bool $isWhisper = false,
    ) {
    }
}
