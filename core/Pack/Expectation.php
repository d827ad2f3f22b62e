<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Value\Moment;

/** "This is right": a line by somebody in the cast, in the circumstances of that moment, and what was said to it. */
final readonly class Expectation
{
    /**
     * @param  string  $by  login of somebody in the cast
     * @param  list<string>  $says  the texts that are right; empty: silence is
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $given  what the line found in memory, by key
     *     id
     * @param  array<string, null|bool|int|string>  $channel  details of the channel at that moment
     */
    public function __construct(
        public string $line,
        public string $by,
        public array $says,
        public Moment $at,
        public string $seed,
        public string $eventKey,
        public array $given = [],
        public array $channel = [],
    ) {
    }

    /** The same of another line, as when its command was renamed. */
    public function asking(string $line): self
    {
        return new self(
            $line,
            $this->by,
            $this->says,
            $this->at,
            $this->seed,
            $this->eventKey,
            $this->given,
            $this->channel,
        );
    }
}
