<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

/** Goes through a response's tree. The one place that knows what is inside what. */
final class Walk
{
    /**
     * @param  list<Part>  $parts
     * @return iterable<Part> every part, those of all branches too, in the order of the text
     */
    public static function parts(array $parts): iterable
    {
        foreach ($parts as $part) {
            yield $part;
            if ($part instanceof Choice) {
                foreach ($part->branches as [, $inside]) {
                    yield from self::parts($inside);
                }
                yield from self::parts($part->otherwise);
            }
        }
    }

    /**
     * @param  list<Part>  $parts
     * @return iterable<Expression> every expression, the outer before the inner
     */
    public static function expressions(array $parts): iterable
    {
        foreach (self::parts($parts) as $part) {
            if ($part instanceof Slot) {
                yield from self::within($part->value);
            } elseif ($part instanceof Choice) {
                foreach ($part->branches as [$condition]) {
                    yield from self::within($condition);
                }
            }
        }
    }

    /** @return iterable<Expression> */
    public static function within(Expression $expression): iterable
    {
        yield $expression;
        foreach (self::children($expression) as $child) {
            yield from self::within($child);
        }
    }

    /** @return list<Expression> what is directly inside */
    public static function children(Expression $expression): array
    {
        return match (true) {
            $expression instanceof OrElse, $expression instanceof AndAlso, $expression instanceof Arithmetic => [$expression->left, $expression->right],
            $expression instanceof Not, $expression instanceof Minus => [$expression->value],
            $expression instanceof Comparison => [$expression->left, ...$expression->right],
            $expression instanceof Either => $expression->options,
            $expression instanceof Filtered => [$expression->value, ...$expression->arguments, ...array_values($expression->named)],
            $expression instanceof Call => [...$expression->operands, ...array_values($expression->named), ...($expression->for === null ? [] : [$expression->for])],
            $expression instanceof Change => [...($expression->amount === null ? [] : [$expression->amount]), $expression->place],
            $expression instanceof SpanFrom => [$expression->moment],
            $expression instanceof Roll => [$expression->from, ...($expression->to === null ? [] : [$expression->to])],
            default => [],
        };
    }
}
