<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Laborious;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

final readonly class Sort extends ListFilter implements Laborious
{
    public function describe(): Description
    {
        return new Description(
            'sort',
            '',
            'a list',
            '[channel.tags | sort]',
            'A list in the order of the channel’s language, numbers by their size; of a text, its words.',
            'passes it on',
            also: ['order'],
        );
    }

    /** Each part gets a key to be compared by; a part has two bytes or more. */
    public function steps(int $bytes): int
    {
        return 10 + 2 * $bytes;
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        return self::list($value, $in);
    }

    protected function of(array $items, EvaluationContext $run): ?ListValue
    {
        $keys = array_map(
            static fn (null|bool|int|string|Value $item): string => $run->printer()->sortKey($run->print($item)),
            $items,
        );
        // Of equals the one that came first stays first.
        asort($keys, SORT_STRING);

        return $items === []
            ? null
            : new ListValue(
                array_map(static fn (int $place): null|bool|int|string|Value => $items[$place], array_keys($keys)),
            );
    }
}
