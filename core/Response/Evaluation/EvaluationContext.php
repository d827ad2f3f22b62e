<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use Random\Randomizer;
use SilverParrot\Chat\Person;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Request;
use SilverParrot\Lookup\TellsOrigins;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Memory\View;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;
use SilverParrot\World;

use function is_string;
use function strlen;

/** One saying of one response: what it sees, what it has changed so far. */
final class EvaluationContext
{
    /** Whether something that it asked for is not there yet. */
    public bool $lacks = false;

    /** Whether what the slot says was made of a fact or an item that holds what people typed. */
    private bool $isMadeOfOthers = false;

    /** What it has changed so far; null where that is nothing. */
    public ?PendingChanges $changed = null;

    private int $work = 0;

    private ?Printer $printer = null;

    /** @var array<string, null|bool|int|string|Value> by folded name */
    private array $bound = [];

    /** @var array<string, true> facts and lists whose own text is being said */
    private array $within = [];

    /** @param  string  $textPath names the response among all others, for chance: "!tide/0" */
    public function __construct(
        public readonly World $world,
        public readonly Invocation $scene,
        private readonly string $textPath,
        private readonly PendingReads $needed,
        public readonly ?SlotTrace $trace = null,
        public readonly OwnTexts $own = new NoOwnTexts,
    ) {
    }

    /** What is remembered, with what this saying has changed so far. */
    public function memory(): View
    {
        return $this->changed ?? $this->world->memory;
    }

    public function bind(string $name, null|bool|int|string|Value $value): void
    {
        $this->bound[$name] = $value;
    }

    public function bound(string $name): null|bool|int|string|Value
    {
        return $this->bound[$name] ?? null;
    }

    /**
     * So many steps of work are about to be done.
     *
     * @throws EvaluationFailure where that is more than one saying may take
     */
    public function work(int $steps): void
    {
        if (($this->work += $steps) > Limits::WORK) {
            throw EvaluationFailure::tooMuchWork();
        }
    }

    /** @return int steps of work so far */
    public function worked(): int
    {
        return $this->work;
    }

    /** The luck of one place in the response. */
    public function draw(Span $span): Randomizer
    {
        // There are no loops, so every place is drawn at most once.
        return $this->world->chance->at("{$this->textPath}@{$span->from}");
    }

    /** Whether the key has been fetched; noted as needed where it has not. */
    public function knows(Key $key): bool
    {
        if ($this->memory()->knows($key)) {
            return true;
        }
        $this->needed->key($key);
        $this->lacks = true;

        return false;
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        $reading = $this->world->readings->read($request);
        if (is_string($reading)) {
            // Bytes are a cheap bound: only beyond it are characters counted.
            return strlen($reading) > Limits::READING ? mb_substr($reading, 0, Limits::READING) : $reading;
        }
        if ($reading instanceof Gap && $reading->isPending()) {
            $this->needed->request($request);
            $this->lacks = true;
        }

        return $reading;
    }

    /** A reading of a look-up, which the why tells more of. */
    public function lookUp(Lookup $lookup, Request $request): null|bool|int|string|Value
    {
        $value = $this->read($request);
        if ($this->trace !== null && ! ($value instanceof Gap && $value->isPending())) {
            $readings = $this->world->readings;
            $origin = $readings instanceof TellsOrigins ? $readings->originOf($request) : null;
            $this->trace->lookedUp($lookup, $request, $value, $origin);
        }

        return $value;
    }

    public function isInside(string $place): bool
    {
        return isset($this->within[$place]);
    }

    /** Where a fact or an item says its own text: with names of its own, and the same memory. */
    public function inside(string $place): self
    {
        $inside = new self(
            $this->world,
            $this->scene,
            "{$this->textPath}/$place",
            $this->needed,
            null,
            $this->own,
        );
        $inside->within = $this->within + [$place => true];
        $inside->changed = $this->changed;
        $inside->work = $this->work;
        $inside->printer = $this->printer;

        return $inside;
    }

    /** The same for what is asked of the parrot's own accord: nobody asks, and nobody has typed anything. */
    public function unprompted(string $place): self
    {
        $alone = new self(
            $this->world,
            Invocation::of(null),
            "{$this->textPath}/$place",
            $this->needed,
            null,
            $this->own,
        );
        $alone->within = $this->within;
        $alone->changed = $this->changed;
        $alone->work = $this->work;

        return $alone;
    }

    /** What was done inside counts here. */
    public function takeFrom(self $inside): void
    {
        $this->changed = $inside->changed;
        $this->work = $inside->work;
        $this->lacks = $this->lacks || $inside->lacks;
    }

    public function printer(): Printer
    {
        return $this->printer ??= new Printer($this->world->pack->channel);
    }

    public function beginSlot(): void
    {
        $this->isMadeOfOthers = false;
    }

    /** Whether a text that the slot says may be of people: behind a filter it does not know any more who typed it. */
    public function isMadeOfOthers(): bool
    {
        return $this->isMadeOfOthers;
    }

    /** A value as it is said; texts, whole numbers and people, which are nearly all, need no language. */
    public function print(null|bool|int|string|Value $value): string
    {
        if ($value instanceof Said) {
            $this->isMadeOfOthers = $this->isMadeOfOthers || $value->isOfPeople();
        }

        return match (true) {
            is_string($value) => $value,
            is_int($value) => (string) $value,
            $value instanceof Person => $value->name,
            $value instanceof Number => $this->world->pack->channel->decimalSign === '.'
                ? Number::digits($value)
                : $this->printer()->print($value),
            default => $this->printer()->print($value),
        };
    }

    public function change(Change $change): void
    {
        $this->changed ??= new PendingChanges($this->world->memory);
        $this->changed->change($change);
    }
}
