<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Response\Vocabulary\HandlesGaps;
use SilverParrot\Value\Value;

/** `default` */
final readonly class DefaultTo implements Filter, HandlesGaps
{
    public function describe(): Description
    {
        return new Description(
            'default',
            'what to take instead',
            'the value, or that',
            '[words | upper | default "NOBODY"]',
            'Takes something else where there is no value; like “or”, but behind filters.',
            'takes the other value',
            also: ['fallback', 'or'],
        );
    }

    public function arity(): array
    {
        return [1, 1];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        if ($value->fails !== null) {
            return $arguments[0];
        }
        if (! $value->mayBeNoValue()) {
            return $value;
        }

        return $value->kinds === [] ? $arguments[0] : $value->known()->orElse($arguments[0]);
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): null|bool|int|string|Value {
        return $this->isNeededFor($value) ? $arguments[0] ?? null : $value;
    }

    public function isNeededFor(null|bool|int|string|Value $value): bool
    {
        return ! Truth::of($value);
    }
}
