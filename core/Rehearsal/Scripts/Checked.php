<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Source\Message;

/** An expectation that was looked at. */
final readonly class Checked
{
    /**
     * @param  int|null  $part  of the script that it is of, from 0 on; null for all of it
     * @param  Message|null  $unmet  what is otherwise; null where it holds
     * @param  list<string>  $said  to that line
     */
    public function __construct(
        public ?int $part,
        public int $millis,
        public Expects $expected,
        public ?Message $unmet,
        public array $said,
    ) {
    }

    public function holds(): bool
    {
        return $this->unmet === null;
    }
}
