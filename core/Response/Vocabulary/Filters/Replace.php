<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\ValueLimits;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

final readonly class Replace implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'replace',
            'a text, and what to write in its place',
            'a text',
            '[words | replace "gull" "duck"]',
            'Writes another text wherever the first stands, letter for letter.',
            'passes it on',
            also: ['swap'],
        );
    }

    public function arity(): array
    {
        return [2, 2];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        [$what, $by] = $arguments;
        $times = is_string($what->written) ? $what->longest : 1;
        // What is written may come again at every letter.
        $grown =
            $times === 0
                ? $value->longest
                : max($value->longest, intdiv($value->longest, $times) * $by->longest + ($value->longest % $times));

        return $value->asText(0, $grown, min(Limits::SAID * 4, max(1, $by->bytes) * $value->bytes));
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): string|Gap|null {
        $what = $run->print($arguments[0] ?? null);
        $text = $value === null ? null : $run->print($value);
        if ($text === null || $what === '') {
            return $text;
        }
        $by = $run->print($arguments[1] ?? null);

        return strlen($text) + substr_count($text, $what) * (strlen($by) - strlen($what)) > ValueLimits::BYTES
            ? ValueLimits::tooLong()
            : str_replace($what, $by, $text);
    }
}
