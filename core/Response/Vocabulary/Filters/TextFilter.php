<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\ChangesText;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

/** A filter that changes a text as it would be printed. Nothing stays nothing; of a list each item is changed. */
abstract readonly class TextFilter implements ChangesText
{
    public function arity(): array
    {
        return [0, 0];
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): null|bool|int|string|Value {
        if (is_string($value)) {
            return $this->change($value, $run);
        }
        if ($value instanceof ListValue) {
            return new ListValue(
                array_map(
                    fn (null|bool|int|string|Value $item): null|bool|int|string|Value => $this->apply(
                        $item,
                        $arguments,
                        $named,
                        $run,
                    ),
                    $value->items,
                ),
            );
        }

        return $value === null ? null : $this->change($run->print($value), $run);
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        if ($value->many === null) {
            return $this->changed($value);
        }
        $list = ValueEstimate::items($value->many->each($this->changed(...)), $in->lengths->joint())->orGap(
            ...$value->gaps,
        );
        $list = $value->canBeNothing ? $list->orNothing() : $list;

        return $value->isOnly(ValueKind::Items) ? $list : $list->orElse($this->changed($value));
    }

    /** What it makes of one text, as far as that is known beforehand. */
    abstract protected function changed(ValueEstimate $text): ValueEstimate;

    /** Where a letter can become several: “ﬃ” in capitals are three. Those of ASCII stay as many as they are. */
    protected static function grown(ValueEstimate $value, int $characters, int $bytes): ValueEstimate
    {
        $isPlain = $value->bytes === $value->longest;

        return $value->asText(
            $value->shortest,
            $value->longest * ($isPlain ? 1 : $characters),
            $value->bytes * ($isPlain ? 1 : $bytes),
        );
    }

    protected static function longer(ValueEstimate $value, int $by): ValueEstimate
    {
        return $value->asText($value->shortest, $value->longest + $by, $value->bytes + $by);
    }
}
