<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\Cause;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Turn;
use SilverParrot\Pack\Command;
use SilverParrot\Response\Evaluation\EvaluationFailure;

/** What comes of an event: what is said, what is changed, and the account of both. */
final readonly class Outcome implements Turn
{
    /**
     * @param  list<Saying>  $sayings
     * @param  list<Change>  $changes  cooldowns and list positions among them, one for each key
     * @param  list<Awaited>  $effects  to be carried out once the changes are kept
     * @param  list<Event>  $later  to be heard when their moments have come
     * @param  Person|null  $by  who brought it about; null for nobody
     * @param  string  $phrase  the one that set it off; empty where none did
     */
    public function __construct(
        public ?Command $command = null,
        public array $sayings = [],
        public array $changes = [],
        public ?GateRefusal $closed = null,
        public ?EvaluationFailure $failed = null,
        public ?Trace $trace = null,
        public array $effects = [],
        public array $later = [],
        public ?Person $by = null,
        public string $phrase = '',
    ) {
    }

    /** Whether anything comes of it that lasts. */
    public function isWorthATurn(): bool
    {
        return $this->changes !== [] || $this->sayings !== [] || $this->effects !== [];
    }

    public function changesToKeep(): array
    {
        return $this->changes;
    }

    public function cause(): Cause
    {
        return Cause::person($this->by, $this->command->id ?? '');
    }

    public function sayingsToQueue(): array
    {
        return $this->sayings;
    }

    public function effectsToKeep(): array
    {
        return $this->effects;
    }

    /** Both as one: what came of a line, and of what it brought about. */
    public function and(self $later): self
    {
        if ($later->trace !== null) {
            $this->trace?->goesOnWith($later->trace);
        }

        $changes = [];
        foreach ([...$this->changes, ...$later->changes] as $change) {
            $id = $change->key->id();
            $changes[$id] = isset($changes[$id]) ? $changes[$id]->then($change) : $change;
        }

        return new self(
            $this->command ?? $later->command,
            [...$this->sayings, ...$later->sayings],
            array_values($changes),
            $this->closed,
            $later->failed ?? $this->failed,
            $this->trace,
            [...$this->effects, ...$later->effects],
            [...$this->later, ...$later->later],
            $this->by,
            $this->phrase,
        );
    }

    public function setOffBy(string $phrase): self
    {
        return new self(
            $this->command,
            $this->sayings,
            $this->changes,
            $this->closed,
            $this->failed,
            $this->trace,
            $this->effects,
            $this->later,
            $this->by,
            $phrase,
        );
    }

    /** @return list<string> */
    public function texts(): array
    {
        return array_map(static fn (Saying $saying): string => $saying->text, $this->sayings);
    }

    /** @return list<Change> those that an author would call changes */
    public function authoredChanges(): array
    {
        return array_values(array_filter($this->changes, static fn (Change $change): bool => $change->isAuthored()));
    }
}
