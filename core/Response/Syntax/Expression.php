<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use Generator;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** Something that has a value. Whatever somebody wants to know of a node, the node says itself. */
abstract readonly class Expression
{
    abstract public function span(): Span;

    /** @return list<self> what is directly inside, in the order of the text */
    abstract public function children(): array;

    /**
     * The way to its value, in which all that is known beforehand is settled.
     *
     * @return Closure(EvaluationContext): (null|bool|int|string|Value)
     */
    abstract public function prepared(): Closure;

    /** What it can be, known before anybody says a line. */
    abstract public function estimate(EstimateContext $in): ValueEstimate;

    /** The value, where it is asked for once; what is said often is prepared once. */
    final public function value(EvaluationContext $run): null|bool|int|string|Value
    {
        return ($this->prepared())($run);
    }

    /** @return list<Finding> what is wrong with it in this pack, apart from what is inside */
    public function check(Pack $pack): array
    {
        return [];
    }

    /** @return string|null what of the pack it names, folded: "counter.planks" */
    public function place(): ?string
    {
        return null;
    }

    /**
     * @return string|null equal for two expressions that have one value within a response; null where they may differ
     */
    public function key(): ?string
    {
        return null;
    }

    /** @return list<string> keys of what is there where this holds, or where it does not */
    public function thereWhen(bool $holds): array
    {
        return $holds ? NonNullFacts::with($this->key()) : [];
    }

    /** @return list<string> keys of what must be there, or it fails and with it all the rest */
    public function needs(): array
    {
        return [];
    }

    /** @return list<string> keys of what must be numbers, or it fails */
    public function countsWith(): array
    {
        return [];
    }

    /** Whether it matters what is typed behind the trigger. */
    public function readsLine(): bool
    {
        return false;
    }

    /** Whether nothing that people typed, or that came from outside, can be in what it says. */
    public function saysOwnText(): bool
    {
        foreach ($this->children() as $child) {
            if (! $child->saysOwnText()) {
                return false;
            }
        }

        return true;
    }

    /** @return string|null when it is nothing, "nobody is named"; null for what is hardly ever nothing */
    public function whenNothing(Pack $pack): ?string
    {
        return null;
    }

    /** Whether it is a person, whoever that may be. */
    public function isPerson(): bool
    {
        return false;
    }

    /** Whether it is somebody's level. */
    public function isLevel(): bool
    {
        return false;
    }

    /** Whether it is all levels that somebody holds. */
    public function isLevels(): bool
    {
        return false;
    }

    /** Whether it is `nothing`, written out. */
    public function isNothing(): bool
    {
        return false;
    }

    /** @return Generator<self> itself and all that is inside, the outer before the inner */
    final public function within(): Generator
    {
        yield $this;
        foreach ($this->children() as $child) {
            yield from $child->within();
        }
    }
}
