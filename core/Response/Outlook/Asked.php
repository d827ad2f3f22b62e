<?php

declare(strict_types=1);

namespace SilverParrot\Response\Outlook;

use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\AndAlso;
use SilverParrot\Response\Syntax\Bound;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Change;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Not;
use SilverParrot\Response\Syntax\OrElse;
use SilverParrot\Response\Syntax\SpanFrom;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Response\Verbs\Add;
use SilverParrot\Response\Verbs\Take;

/** What must be there where a condition holds, or fails: inside its branches nobody has to ask again. */
final class Asked
{
    /** @return string|null equal for two expressions that have one value within a response; null where they may differ */
    public static function key(Expression $expression): ?string
    {
        return match (true) {
            $expression instanceof Words => "words {$expression->from} {$expression->to}",
            $expression instanceof Bound => "as {$expression->name}",
            $expression instanceof SpanFrom => self::key($expression->moment) === null ? null : ($expression->isSince ? 'since ' : 'until ').self::key($expression->moment),
            $expression instanceof Call => $expression->isPlain() && $expression->folded[0] !== 'list' ? implode('.', $expression->folded)
                : ($expression->folded[0] === 'lookup' ? 'lookup '.implode('.', $expression->folded).self::arguments($expression) : null),
            default => null,
        };
    }

    /** @return list<string> keys of what is there where the condition holds */
    public static function whenItHolds(Expression $condition): array
    {
        return match (true) {
            $condition instanceof AndAlso => [...self::whenItHolds($condition->left), ...self::whenItHolds($condition->right)],
            $condition instanceof OrElse => array_values(array_intersect(self::whenItHolds($condition->left), self::whenItHolds($condition->right))),
            $condition instanceof Not => self::whenItFails($condition->value),
            $condition instanceof Comparison => self::compared($condition, $condition->isNegated),
            default => self::with(self::key($condition)),
        };
    }

    /** @return list<string> keys of what is there where it does not */
    public static function whenItFails(Expression $condition): array
    {
        return match (true) {
            $condition instanceof OrElse => [...self::whenItFails($condition->left), ...self::whenItFails($condition->right)],
            $condition instanceof AndAlso => array_values(array_intersect(self::whenItFails($condition->left), self::whenItFails($condition->right))),
            $condition instanceof Not => self::whenItHolds($condition->value),
            $condition instanceof Comparison => self::compared($condition, ! $condition->isNegated),
            default => [],
        };
    }

    /** @return list<string> keys of what must be there, or a verb fails and with it all the rest */
    public static function neededBy(Expression $value): array
    {
        while ($value instanceof Filtered) {
            $value = $value->value;
        }
        if (! $value instanceof Change) {
            return [];
        }
        $person = $value->place->for === null ? null : self::key($value->place->for);
        $keys = [...self::with($value->amount === null ? null : self::key($value->amount)), ...self::with($person)];

        return $value->place->folded[0] === 'target' ? [...$keys, ...self::with('target')] : $keys;
    }

    /** @return list<string> keys of what must be numbers, or the verb fails */
    public static function countedBy(Expression $value): array
    {
        while ($value instanceof Filtered) {
            $value = $value->value;
        }
        $amount = $value instanceof Change && ($value->verb instanceof Add || $value->verb instanceof Take) ? $value->amount : null;
        $key = $amount === null ? null : self::key($amount);

        return $key === null ? [] : [$key];
    }

    /** @return list<string> */
    private static function compared(Comparison $comparison, bool $isNegated): array
    {
        $isNothing = $comparison->relation === Relation::Is && count($comparison->right) === 1 && $comparison->right[0] instanceof Literal && $comparison->right[0]->value === null;
        if ($isNothing) {
            return $isNegated ? self::with(self::key($comparison->left)) : [];
        }

        // With nothing everything is no, so what compares is there.
        return $isNegated ? [] : [...self::with(self::key($comparison->left)), ...(count($comparison->right) === 1 ? self::with(self::key($comparison->right[0])) : [])];
    }

    /** @return list<string> the key, and what is there along with it */
    private static function with(?string $key): array
    {
        return match (true) {
            $key === null => [],
            $key === 'words 1 ', $key === 'words 1 1' => ['words 1 ', 'words 1 1'],
            $key === 'target', str_starts_with($key, 'target.') => [$key, 'target', 'words 1 ', 'words 1 1'],
            str_starts_with($key, 'words ') => [$key, 'words 1 ', 'words 1 1'],
            str_starts_with($key, 'occasion.') => [$key, "since $key", "until $key"],
            default => [$key],
        };
    }

    private static function arguments(Call $call): string
    {
        $texts = '';
        foreach ($call->named as $name => $argument) {
            $key = $argument instanceof Literal && is_scalar($argument->value) ? 'is '.json_encode($argument->value) : self::key($argument);
            // What cannot be told apart is a look-up of its own.
            $texts .= " $name=".($key ?? 'at '.$argument->span()->from);
        }

        return $texts;
    }
}
