<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Outcome;

/** One thing that happened in a rehearsal, and what came of it. */
final readonly class Heard
{
    /**
     * @param  TimedLine  $line  that was said now, or that is gone on with after a pause, at the moment of now
     * @param  Person|null  $by  null for what nobody did
     * @param  int|null  $number  which of the chat's lines it is, from 0 on; null for what came of one later
     */
    public function __construct(
        public TimedLine $line,
        public ?Person $by,
        public Outcome $outcome,
        public ?int $number,
    ) {
    }
}
