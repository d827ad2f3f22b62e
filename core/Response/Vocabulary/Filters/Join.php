<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\ValueLimits;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

final readonly class Join implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'join',
            'the text between',
            'a text',
            '[channel.tags | join " · "]',
            'Writes a list with a text of your own between its parts.',
            'passes it on',
            also: ['separator'],
        );
    }

    public function arity(): array
    {
        return [1, 1];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        if ($value->many === null) {
            return $value;
        }
        $joined = $value->many->joined($arguments[0]->longest, $arguments[0]->bytes);
        $text = $value->asText(0, $joined->longest, $joined->bytes);
        $text = $arguments[0]->isTyped ? $text->typed() : $text;

        return $value->isOnly(ValueKind::Items) ? $text : $text->orElse($value);
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): null|bool|int|string|Value {
        if (! $value instanceof ListValue) {
            return $value;
        }
        $between = $run->print($arguments[0] ?? null);
        $texts = array_map($run->print(...), $value->items);

        return array_sum(array_map(strlen(...), $texts)) + strlen($between) * max(0, count($texts) - 1)
            > ValueLimits::BYTES
            ? ValueLimits::tooLong()
            : implode($between, $texts);
    }
}
