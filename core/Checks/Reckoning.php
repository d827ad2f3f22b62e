<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\Operation;
use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\AndAlso;
use SilverParrot\Response\Syntax\Arithmetic;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Minus;
use SilverParrot\Response\Syntax\Not;
use SilverParrot\Response\Syntax\OrElse;
use SilverParrot\Response\Syntax\Roll;

/** What is known of values before anybody says a line: ranges of whole numbers, and with them whether a condition can hold. */
final class Reckoning
{
    /** Numbers that are never below nothing. */
    private const COUNTS = ['caller.lines', 'target.lines', 'channel.viewers', 'channel.followers', 'channel.subscribers'];

    /** @return bool|null null where a line decides */
    public static function holds(Expression $condition, Pack $pack): ?bool
    {
        if ($condition instanceof Not) {
            $inner = self::holds($condition->value, $pack);

            return $inner === null ? null : ! $inner;
        }
        if ($condition instanceof AndAlso) {
            return self::both($condition, $pack);
        }
        if ($condition instanceof OrElse) {
            [$left, $right] = [self::holds($condition->left, $pack), self::holds($condition->right, $pack)];

            return $left === true || $right === true ? true : ($left === false && $right === false ? false : null);
        }

        return $condition instanceof Comparison ? self::compared($condition, $pack) : null;
    }

    /**
     * Where a condition compares one thing with a written number: which thing, and for which numbers it holds.
     *
     * @return array{string, Range}|null
     */
    public static function range(Expression $condition, Pack $pack): ?array
    {
        if (! $condition instanceof Comparison || $condition->isNegated || count($condition->right) !== 1 || ! $condition->left instanceof Call || ! $condition->left->isPlain()) {
            return null;
        }
        $is = self::of($condition->left, $pack);
        $than = self::of($condition->right[0], $pack);
        if ($is === null || $than === null || $than->low !== $than->high) {
            return null;
        }

        return match ($condition->relation) {
            Relation::Is => [implode('.', $condition->left->folded), $than->and($is)],
            Relation::Less => [implode('.', $condition->left->folded), new Range($is->low, $than->low - 1)],
            Relation::AtMost => [implode('.', $condition->left->folded), new Range($is->low, $than->low)],
            Relation::Greater => [implode('.', $condition->left->folded), new Range($than->low + 1, $is->high)],
            Relation::AtLeast => [implode('.', $condition->left->folded), new Range($than->low, $is->high)],
            default => null,
        };
    }

    private static function both(AndAlso $condition, Pack $pack): ?bool
    {
        [$left, $right] = [self::holds($condition->left, $pack), self::holds($condition->right, $pack)];
        if ($left === false || $right === false) {
            return false;
        }
        [$a, $b] = [self::range($condition->left, $pack), self::range($condition->right, $pack)];
        if ($a !== null && $b !== null && $a[0] === $b[0] && $a[1]->and($b[1])->isEmpty()) {
            return false;
        }

        return $left === true && $right === true ? true : null;
    }

    private static function compared(Comparison $condition, Pack $pack): ?bool
    {
        $left = self::of($condition->left, $pack);
        $right = count($condition->right) === 1 ? self::of($condition->right[0], $pack) : null;
        if ($left === null || $right === null) {
            return null;
        }
        $holds = match ($condition->relation) {
            Relation::Less => self::less($left, $right),
            Relation::AtLeast => self::opposite(self::less($left, $right)),
            Relation::Greater => self::less($right, $left),
            Relation::AtMost => self::opposite(self::less($right, $left)),
            Relation::Is => $left->and($right)->isEmpty() ? false : ($left->low === $left->high && $right->low === $right->high ? true : null),
            default => null,
        };

        return $condition->isNegated ? self::opposite($holds) : $holds;
    }

    private static function less(Range $left, Range $right): ?bool
    {
        return $left->high < $right->low ? true : ($left->low >= $right->high ? false : null);
    }

    private static function opposite(?bool $holds): ?bool
    {
        return $holds === null ? null : ! $holds;
    }

    /** @return Range|null null for what is no whole number, or may be anything */
    private static function of(Expression $value, Pack $pack): ?Range
    {
        return match (true) {
            $value instanceof Literal => is_int($value->value) ? new Range($value->value, $value->value) : null,
            $value instanceof Minus => self::of($value->value, $pack)?->negated(),
            $value instanceof Roll => self::rolled($value, $pack),
            $value instanceof Arithmetic => self::sum($value, $pack),
            $value instanceof Call => self::called($value, $pack),
            default => null,
        };
    }

    private static function rolled(Roll $roll, Pack $pack): ?Range
    {
        $from = self::of($roll->from, $pack);
        $to = $roll->to === null ? $from : self::of($roll->to, $pack);
        if ($from === null || $to === null) {
            return null;
        }

        return $roll->to === null ? new Range(1, max(1, $from->high)) : new Range(min($from->low, $to->low), max($from->high, $to->high));
    }

    private static function sum(Arithmetic $sum, Pack $pack): ?Range
    {
        [$left, $right] = [self::of($sum->left, $pack), self::of($sum->right, $pack)];

        return $left === null || $right === null ? null : match ($sum->operation) {
            Operation::Plus => $left->plus($right),
            Operation::Minus => $left->plus($right->negated()),
            default => null,
        };
    }

    private static function called(Call $call, Pack $pack): ?Range
    {
        $counter = $call->folded[0] === 'counter' ? $pack->counters[$call->folded[1] ?? ''] ?? null : null;
        if ($counter !== null) {
            // A sum over categories has no ceiling of its own, and a viewer’s counter is nothing where there is no viewer.
            $isSum = isset($call->folded[2]);

            return $counter->scope === CounterScope::Viewer ? null : new Range($isSum ? PHP_INT_MIN : $counter->floor ?? PHP_INT_MIN, $isSum ? PHP_INT_MAX : $counter->ceiling ?? PHP_INT_MAX);
        }

        return in_array(implode('.', $call->folded), self::COUNTS, true) ? new Range(0, PHP_INT_MAX) : null;
    }
}
