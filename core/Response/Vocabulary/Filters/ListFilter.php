<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Many;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

/** A filter of lists. A text is taken as its words, anything else as a list of one; nothing as an empty one. */
abstract readonly class ListFilter implements Filter
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
        return $this->of(
            match (true) {
                $value instanceof ListValue => $value->items,
                is_string($value) => preg_split('/[\s\p{Z}]++/u', $value, -1, PREG_SPLIT_NO_EMPTY) ?: [],
                $value === null => [],
                default => [$value],
            },
            $run,
        );
    }

    /** @param  list<null|bool|int|string|Value>  $items */
    abstract protected function of(array $items, EvaluationContext $run): null|bool|int|string|Value;

    /** One part of a list, or one word of a text. */
    protected static function part(ValueEstimate $value): ValueEstimate
    {
        $part = match (true) {
            $value->many !== null => $value->isOnly(ValueKind::Items)
                ? $value->many->item
                : $value->many->item->orElse($value),
            $value->isOnly(ValueKind::Text) => $value->asText(0, $value->longest, $value->bytes),
            default => $value,
        };

        return $part->orNothing();
    }

    /** A list in another order; the words of a text, with what the language puts between them. */
    protected static function list(ValueEstimate $value, EstimateContext $in): ValueEstimate
    {
        $many = in_array(ValueKind::Text, $value->kinds, true) ? Many::divided($value) : Many::of($value, 1);
        if ($value->many !== null) {
            $many = $value->isOnly(ValueKind::Items) ? $value->many : $value->many->orElse($many);
        }

        return ValueEstimate::items($many, $in->lengths->joint())->orNothing()->orGap(...$value->gaps);
    }
}
