<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** Something that is said by itself again and again, while people write. */
final readonly class Timer
{
    /** Of one channel. */
    public const MOST = 100;

    /** One of them is said each time. */
    public const MOST_MESSAGES = 100;

    /** Minutes between two sayings, at most: a day. */
    public const LONGEST = 1_440;

    /** Lines that must be written between, at most. */
    public const MOST_LINES = 1_000;

    /** What its clock is kept under; a new name does not change it. */
    public string $id;

    /**
     * @param  int  $minutes  that must pass between two sayings; 0 where it goes by lines alone
     * @param  int  $lines  by people, no commands, that must have come since the last saying; 0 for none
     * @param  bool  $whileLive  whether it speaks only while the stream is live
     * @param  list<CommandResponse>  $responses  one is drawn each time
     * @param  int  $within  minutes in which those lines must have come, instead of since the last saying; 0 for that
     */
    public function __construct(
        public string $name,
        public array $responses,
        public int $minutes = 30,
        public int $lines = 10,
        public bool $whileLive = true,
        public bool $isOn = true,
        public DrawOrder $order = DrawOrder::InTurn,
        string $id = '',
        public int $within = 0,
    ) {
        $this->id = $id === '' ? $name : $id;
    }

    public function called(string $name): self
    {
        return new self(
            $name,
            $this->responses,
            $this->minutes,
            $this->lines,
            $this->whileLive,
            $this->isOn,
            $this->order,
            $this->id,
            $this->within,
        );
    }

    public function switched(bool $isOn): self
    {
        return new self(
            $this->name,
            $this->responses,
            $this->minutes,
            $this->lines,
            $this->whileLive,
            $isOn,
            $this->order,
            $this->id,
            $this->within,
        );
    }

    /** What is said and done when it is due. Nobody calls it, so it has no gates but that it is switched on. */
    public function command(): Command
    {
        return new Command(
            new Triggers($this->name, isNameOnly: true),
            $this->responses,
            id: "timer {$this->id}",
            order: $this->order,
        );
    }

    /** Another one begins a full interval anew. */
    public function rhythm(): string
    {
        return "{$this->minutes} {$this->lines} ".($this->whileLive ? 'live' : 'always').($this->isOn ? '' : ' off')
            .($this->within === 0 ? '' : " within {$this->within}");
    }
}
