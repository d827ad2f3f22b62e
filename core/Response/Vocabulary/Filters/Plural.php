<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Chat\Channel;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Response\Vocabulary\TakesNamed;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

final readonly class Plural implements Filter, TakesNamed
{
    public function describe(): Description
    {
        return new Description(
            'plural',
            'the text for one and the text for more, with # for the number; few= and many= for languages that have '
                .'them',
            'a text',
            '[counter.planks | plural "# plank" "# planks"]',
            'Chooses the text that fits the number in the channel’s language.',
            'passes it on',
            also: ['singular'],
        );
    }

    public function arity(): array
    {
        return [0, 2];
    }

    public function named(): array
    {
        return ['zero', 'one', 'two', 'few', 'many', 'other'];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $number = $value->withoutNothing()->asNumber();
        $longest = 0;
        $bytes = 0;
        $shortest = null;
        foreach ([...$arguments, ...array_values($named)] as $text) {
            $marks = is_string($text->written) ? substr_count($text->written, '#') : $text->longest;
            $longest = max($longest, $text->longest + $marks * ($number->longest - 1));
            $bytes = max($bytes, $text->bytes + $marks * ($number->bytes - 1));
            $shortest = min($shortest ?? $text->shortest, $text->shortest);
        }

        return $value
            ->asText($shortest ?? 0, $longest, $bytes)
            ->orGap(...$number->gaps)
            ->failing($value->canBeNothing ? null : $number->fails);
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): string|Gap|null {
        if ($value === null) {
            return null;
        }
        $number = Numbers::of($value);
        if ($number instanceof Gap) {
            return $number;
        }
        $other = $named['other'] ?? $arguments[1] ?? $arguments[0] ?? null;
        $category = $run->printer()->pluralCategory($number);
        $chosen = $named[$category] ?? ($category === 'one' ? $arguments[0] ?? $other : $other);

        return str_replace('#', $run->print($number), $run->print($chosen));
    }

    /** @return list<string> the forms that a language has for whole numbers (CLDR): “one”, “few”, “other” … */
    public static function categories(string $language): array
    {
        $printer = new Printer(Channel::of('any', 'Any', $language));

        // Each form of each language is met below 200, or at a million.
        $met = array_map($printer->pluralCategory(...), [...range(0, 200), 1_000_000]);

        return array_values(array_intersect(['zero', 'one', 'two', 'few', 'many', 'other'], $met));
    }
}
