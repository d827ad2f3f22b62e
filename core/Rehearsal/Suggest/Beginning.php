<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Lookup\CannedAnswer;

/** One of the circumstances in which a command is tried. */
final readonly class Beginning
{
    /**
     * @param  string  $in  what it is called behind the trigger; empty for as it is
     * @param  array<string, int>  $counters  by name; of all to whom one belongs
     * @param  array<string, string>  $record  of everybody, by field
     * @param  array<string, string>  $occasions  ISO 8601, by name
     * @param  array<string, int>  $goods  that everybody has, by name
     * @param  array<string, null|bool|int|string>  $channel  details
     * @param  array<string, list<CannedAnswer>>  $answers  by folded name of the look-up
     * @param  string  $seed  behind the given one
     * @param  int  $later  milliseconds
     * @param  bool  $isNewStream  whether a stream ends and another begins before anybody says a line
     * @param  bool  $isWanted  even where nothing new is come to
     */
    public function __construct(
        public string $in = '',
        public array $counters = [],
        public array $record = [],
        public array $occasions = [],
        public array $goods = [],
        public array $channel = [],
        public array $answers = [],
        public string $seed = '',
        public int $later = 0,
        public bool $isNewStream = false,
        public bool $isWanted = false,
    ) {
    }

    /** Both at once. */
    public function with(self $other): self
    {
        return new self(
            implode(', ', array_unique(array_filter([$this->in, $other->in]))),
            $other->counters + $this->counters,
            $other->record + $this->record,
            $other->occasions + $this->occasions,
            $other->goods + $this->goods,
            $other->channel + $this->channel,
            $other->answers + $this->answers,
            trim("{$this->seed} {$other->seed}"),
            $this->later + $other->later,
            $this->isNewStream || $other->isNewStream,
        );
    }
}
