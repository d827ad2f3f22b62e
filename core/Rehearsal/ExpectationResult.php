<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Pack\Expectation;
use SilverParrot\Source\Message;

/** An expectation, and what is said to its line now. */
final readonly class ExpectationResult
{
    /**
     * @param  string  $by  the speaker's name
     * @param  list<string>  $saysNow
     * @param  Message|null  $because  why it cannot be looked at, or what stopped the saying; null where nothing did
     */
    public function __construct(
        public Expectation $expectation,
        public string $by,
        public array $saysNow,
        public ?Message $because,
    ) {
    }

    public function holds(): bool
    {
        return $this->saysNow === $this->expectation->says;
    }
}
