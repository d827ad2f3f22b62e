<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Change;
use SilverParrot\Pack\Refusal;
use SilverParrot\Value\Value;

/** A closed gate, with the reason that can be shown and what would open it. */
final readonly class GateRefusal
{
    /** @var array<string, null|bool|int|string|Value> what the refusal reply may name: the data, and the reason */
    public array $outcome;

    /**
     * @param  string  $gate  its name
     * @param  string  $code  what closed it, the same for good: "cooldown"
     * @param  string  $reason  in words: "it is for moderators and up"
     * @param  string  $opens  what would open it, as one says to somebody who tries: "turn the clock on by 7 s"
     * @param  array<string, null|bool|int|string|Value>  $data
     * @param  Refusal|null  $refusal  which reply of the command is for it; null: silence
     * @param  list<Change>  $kept  kept because it closed: a chance that was not lucky
     */
    public function __construct(
        public string $gate,
        public string $code,
        public string $reason,
        public string $opens,
        public array $data = [],
        public ?Refusal $refusal = null,
        public array $kept = [],
    ) {
        $this->outcome = ['reason' => $reason] + $data;
    }
}
