<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Change;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;
use SilverParrot\Value\Value;

/** A closed gate, with the reason that can be shown and what would open it. */
final readonly class GateRefusal
{
    /** Why, in a few words: “it is for moderators and up”. */
    public Message $reason;

    /** What would open it, as one says to somebody who tries: “move the clock forward 7 s”. */
    public Message $opens;

    /** @var array<string, null|bool|int|string|Message|Value> what the refusal reply may name */
    public array $outcome;

    /**
     * @param  string  $gate  its name
     * @param  string  $code  what closed it, the same for good: "cooldown"
     * @param  array<string, int|string|Message>  $data  what stands in its sentences
     * @param  array<string, null|bool|int|string|Message|Value>  $gives  what the refusal reply may name besides the
     *     reason
     * @param  Refusal|null  $refusal  which reply of the command is for it; null: silence
     * @param  list<Change>  $kept  kept although it closed
     * @param  string  $says  its sentences, where it has others than those of its code
     * @param  bool  $isTry  whether it starts cooldowns as a success does: a chance that was not lucky
     */
    public function __construct(
        public string $gate,
        public string $code,
        private array $data = [],
        private array $gives = [],
        public ?Refusal $refusal = null,
        public array $kept = [],
        private string $says = '',
        public bool $isTry = false,
    ) {
        $says = 'refusals.'.($says === '' ? $code : $says);
        $this->reason = new Message("$says.reason", $data);
        $this->opens = new Message("$says.opens", $data);
        $this->outcome = ['reason' => $this->reason] + $gives;
    }

    /**
     * The same, after which is kept what is kept whenever the steps run.
     *
     * @param  list<Open>  $open  the gates before it
     */
    public function keeping(array $open): self
    {
        $kept = array_merge($this->kept, ...array_map(static fn (Open $one): array => $one->kept, $open));

        return new self(
            $this->gate,
            $this->code,
            $this->data,
            $this->gives,
            $this->refusal,
            $kept,
            $this->says,
            $this->isTry,
        );
    }
}
