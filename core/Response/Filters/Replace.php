<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Filter;
use SilverParrot\Value\Value;

final readonly class Replace implements Filter
{
    public function describe(): Described
    {
        return new Described('replace', 'a text, and what to write in its place', 'a text', '[words | replace "gull" "duck"]', 'Writes another text wherever the first stands, letter for letter.', 'passes it on');
    }

    public function arity(): array
    {
        return [2, 2];
    }

    public function apply(null|bool|int|string|Value $value, array $arguments, array $named, Run $run): ?string
    {
        $what = $run->print($arguments[0] ?? null);
        $text = $value === null ? null : $run->print($value);

        return $text === null || $what === '' ? $text : str_replace($what, $run->print($arguments[1] ?? null), $text);
    }
}
