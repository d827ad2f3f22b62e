<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

use Closure;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Value;

/** One thing that can be named at the head of a value. */
abstract readonly class Name
{
    abstract public function describe(): Description;

    /** @return list<Finding> what is wrong with this use of it */
    abstract public function check(Call $call, Pack $pack): array;

    /** @return Closure(EvaluationContext): (null|bool|int|string|Value) the way to the value of this use of it */
    abstract public function prepared(Call $call): Closure;

    /** Of how many parts its path can be, itself among them. */
    public function longestPath(): int
    {
        return 2;
    }

    /** @return list<string> what the last part of the longest path can be; empty where it can be anything */
    public function lastParts(): array
    {
        return [];
    }

    /** @param  list<string>  $folded */
    final public function takesPath(array $folded): bool
    {
        $last = $this->lastParts();
        $longest = $this->longestPath();

        return count($folded) <= $longest
            && (! isset($folded[$longest - 1]) || $last === [] || in_array($folded[$longest - 1], $last, true));
    }

    /** What it can be and how long it gets, known before anybody says a line. */
    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return ValueEstimate::anything(Limits::VALUE)->orNothing();
    }

    /** @return string|null equal for uses that have one value within a response; null for what may differ each time */
    public function key(Call $call): ?string
    {
        return $call->isPlain() ? implode('.', $call->folded) : null;
    }

    /** @return list<string> what may stand after its dot in this pack */
    public function parts(Pack $pack): array
    {
        return $this->describe()->parts;
    }

    /** Whether the reference and completion name it: what has no value anywhere yet is not offered. */
    public function isOffered(): bool
    {
        return true;
    }

    /** Whether it has a value without a part. */
    public function standsAlone(): bool
    {
        return true;
    }

    /** @return string|null when it is nothing, "nobody is named"; null for what is hardly ever nothing */
    public function whenNothing(Call $call, Pack $pack): ?string
    {
        return null;
    }

    /** Whether it is a person where no part is asked for. */
    public function isPerson(): bool
    {
        return false;
    }

    /** Whether it matters what is typed behind the trigger. */
    public function readsLine(): bool
    {
        return false;
    }

    /**
     * Whether its text was written by the pack's authors, whoever asks: it may begin with a mark that other talkers
     * hear.
     */
    public function saysOwnText(): bool
    {
        return false;
    }
}
