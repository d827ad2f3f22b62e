<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Filter;
use SilverParrot\Value\Items;
use SilverParrot\Value\Value;

/** A filter of lists. A text is taken as its words, anything else as a list of one; nothing as an empty one. */
abstract readonly class ListFilter implements Filter
{
    public function arity(): array
    {
        return [0, 0];
    }

    public function apply(null|bool|int|string|Value $value, array $arguments, array $named, Run $run): null|bool|int|string|Value
    {
        return $this->of(match (true) {
            $value instanceof Items => $value->items,
            is_string($value) => preg_split('/[\s\p{Z}]++/u', $value, -1, PREG_SPLIT_NO_EMPTY) ?: [],
            $value === null => [],
            default => [$value],
        }, $run);
    }

    /** @param  list<null|bool|int|string|Value>  $items */
    abstract protected function of(array $items, Run $run): null|bool|int|string|Value;
}
