<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Chat\Level;
use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\AndAlso;
use SilverParrot\Response\Syntax\Arithmetic;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Minus;
use SilverParrot\Response\Syntax\Not;
use SilverParrot\Response\Syntax\OrElse;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Nearest;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;

/** Reads a value, from loose to tight: `or`, `and`, `not`, comparisons, sums, products, unary minus; and filters behind one. */
abstract class ValueParser extends OperandParser
{
    protected function orElse(): Expression
    {
        $this->deeper();
        $value = $this->andAlso();
        while ($this->token()->isWord('or')) {
            $this->next();
            $value = new OrElse($value, $this->andAlso());
        }
        $this->depth--;

        return $value;
    }

    private function andAlso(): Expression
    {
        $value = $this->isAlone() ? $this->primary() : $this->negated();
        while ($this->token()->isWord('and')) {
            $this->next();
            $value = new AndAlso($value, $this->negated());
        }

        return $value;
    }

    /** Most values are one word, text or number: what stands behind it tells that no sign binds it, and the way down is short. */
    private function isAlone(): bool
    {
        $token = $this->token();
        $next = $this->at + 1 < $this->end ? $this->tokens[$this->at + 1] : null;
        $isSimple = $token->kind === TokenKind::Quoted || $token->kind === TokenKind::Number || ($token->kind === TokenKind::Path && ! $this->isReserved($token));

        return $isSimple && ($next === null || ($next->kind === TokenKind::Sign ? $next->text === '|' || $next->text === ')' : $next->kind === TokenKind::Path && ($next->folded === 'or' || $next->folded === 'as')));
    }

    private function negated(): Expression
    {
        if (! $this->token()->isWord('not')) {
            return $this->relation();
        }
        $not = $this->next();
        $value = $this->relation();

        return new Not($this->spanOf($not)->through($value->span()), $value);
    }

    private function relation(): Expression
    {
        $left = $this->sum();
        $comparison = $this->compared($left);
        if ($comparison !== null && ($this->token()->is('<', '<=', '>', '>=') || $this->token()->isWord('is', 'contains', 'starts', 'ends'))) {
            throw new Misread(Mistake::ChainedComparison, $this->spanOf($this->token()));
        }

        return $comparison ?? $left;
    }

    private function compared(Expression $left): ?Comparison
    {
        $token = $this->token();
        if ($token->isWord('is')) {
            $this->next();
            $isNegated = $this->token()->isWord('not');
            if ($isNegated) {
                $this->next();
            }
            if (! $this->token()->isWord('one') || ! $this->tokens[$this->at + 1]->isWord('of')) {
                return $this->comparison(Relation::Is, $isNegated, $left, [$this->sum()]);
            }
            $this->at += 2;
            $right = [$this->sum()];
            while ($this->token()->is(',') || $this->token()->isWord('or')) {
                $this->next();
                $right[] = $this->sum();
            }

            return $this->comparison(Relation::Is, $isNegated, $left, $right);
        }
        $relation = $token->is('<', '<=', '>', '>=') ? Relation::from($token->text) : ($token->isWord('contains') ? Relation::Contains : null);
        if ($relation === null && $token->isWord('starts', 'ends') && $this->tokens[$this->at + 1]->isWord('with')) {
            $relation = $token->isWord('starts') ? Relation::StartsWith : Relation::EndsWith;
            $this->next();
        }
        if ($relation === null) {
            return null;
        }
        $this->next();

        return $this->comparison($relation, false, $left, [$this->sum()]);
    }

    /**
     * A level is compared with a level: a word that names none would never hold.
     *
     * @param  non-empty-list<Expression>  $right
     */
    private function comparison(Relation $relation, bool $isNegated, Expression $left, array $right): Comparison
    {
        // A part of a word may be asked for too: only whole ones are levels.
        $isWhole = $relation !== Relation::StartsWith && $relation !== Relation::EndsWith && ($relation !== Relation::Contains || ($left instanceof Call && ($left->folded[1] ?? '') === 'levels'));
        $isLevel = $isWhole && $left instanceof Call && $left->name instanceof Names\PersonName && in_array($left->folded[1] ?? '', ['level', 'levels'], true);
        foreach ($isLevel ? $right : [] as $one) {
            if ($one instanceof Literal && is_string($one->value) && Level::named($one->value) === null) {
                $nearest = Nearest::to($one->value, Level::words());
                $this->findings[] = new Finding(Mistake::UnknownLevel, $one->span(), data: ['text' => $one->value] + ($nearest === null ? [] : ['nearest' => "“{$nearest}”"]), replacement: $nearest === null ? null : "\"$nearest\"");
            }
        }

        return new Comparison($relation, $isNegated, $left, $right);
    }

    private function sum(): Expression
    {
        $value = $this->product();
        while ($this->token()->is('+', '-')) {
            $operation = Operation::from($this->next()->text);
            $this->lookForHyphen();
            $value = new Arithmetic($operation, $value, $this->product());
        }

        return $value;
    }

    private function product(): Expression
    {
        $value = $this->signed();
        while ($this->token()->is('*', '/', '%')) {
            $sign = $this->next();
            if ($sign->is('%') && ! $this->startsOperand() && ! $this->token()->is('-') && ! $this->token()->isWord('roll', 'either', 'since', 'until', 'top')) {
                throw new Misread(Mistake::PercentSign, $this->spanOf($sign));
            }
            $value = new Arithmetic(Operation::from($sign->text), $value, $this->signed());
        }

        return $value;
    }

    protected function signed(): Expression
    {
        if (! $this->token()->is('-')) {
            return $this->primary();
        }
        $minus = $this->next();
        $value = $this->primary();
        if ($value instanceof Literal && (is_int($value->value) || $value->value instanceof Number)) {
            $negative = Evaluation\Numbers::combine(Operation::Minus, 0, $value->value);

            return new Literal($this->spanOf($minus)->through($value->span()), $negative);
        }

        return new Minus($this->spanOf($minus)->through($value->span()), $value);
    }

    protected function parenthesis(): Expression
    {
        $open = $this->next();
        $value = $this->orElse();
        while ($this->token()->is('|')) {
            $value = $this->filtered($value);
        }
        if (! $this->token()->is(')')) {
            throw $this->token()->kind === TokenKind::End ? new Misread(Mistake::ParenthesisNotClosed, $this->spanOf($open)) : $this->unexpected();
        }
        $this->next();

        return $value;
    }

    protected function filtered(Expression $value): Filtered
    {
        $this->next();
        $name = $this->token();
        if ($name->kind !== TokenKind::Path) {
            throw $name->is('|') ? new Misread(Mistake::OrSigns, $this->source->span($name->from - 1, $name->to)) : new Misread(Mistake::NameExpected, $this->spanOf($name), ['text' => '|']);
        }
        $this->next();
        $filter = $this->vocabulary->filters[$name->folded] ?? null;
        if ($filter === null) {
            $nearest = Nearest::to($name->text, array_keys($this->vocabulary->filters));
            throw new Misread(Mistake::UnknownFilter, $this->spanOf($name), ['name' => $name->text] + ($nearest === null ? [] : ['nearest' => $nearest]), $nearest);
        }
        $arguments = [];
        $named = [];
        while ($this->startsOperand()) {
            if ($this->tokens[$this->at + 1]->is('=') && $this->token()->kind === TokenKind::Path) {
                [$key, $argument] = $this->named();
                $named[$key] = $argument;
            } elseif ($filter instanceof TakesWords && $this->token()->isWord(...$filter->words())) {
                $word = $this->next();
                $arguments[] = new Literal($this->spanOf($word), strtolower($word->text));
            } elseif ($filter instanceof TakesWords) {
                throw $this->filterNeeds($filter, $this->token());
            } else {
                $arguments[] = $this->operand();
            }
        }
        $this->checkArity($filter, $name, count($arguments), $named !== []);
        if ($this->token()->isWord('or')) {
            throw new Misread(Mistake::OrAfterFilter, $this->spanOf($this->token()), $this->tokens[$this->at + 1]->kind === TokenKind::Quoted ? ['instead' => $this->typed($this->tokens[$this->at + 1])] : []);
        }

        return new Filtered($value->span()->through($this->spanOf($this->tokens[$this->at - 1])), $value, $filter, $arguments, $named);
    }

    private function checkArity(Filter $filter, Token $name, int $given, bool $hasNamed): void
    {
        [$least, $most] = $filter->arity();
        $described = $filter->describe();
        if ($given < $least || ($given === 0 && ! $hasNamed && $filter instanceof TakesNamed)) {
            throw $this->filterNeeds($filter, $name);
        }
        if ($given > $most || ($hasNamed && ! $filter instanceof TakesNamed)) {
            throw new Misread(Mistake::FilterTakesLess, $this->spanOf($name), ['name' => $described->name, 'most' => (string) $most]);
        }
    }

    private function filterNeeds(Filter $filter, Token $at): Misread
    {
        $described = $filter->describe();

        return new Misread(Mistake::FilterNeeds, $this->spanOf($at), ['name' => $described->name, 'needs' => $described->takes, 'example' => self::firstSlot($described->example)]);
    }

    private static function firstSlot(string $example): string
    {
        $from = (int) strpos($example, '[') + 1;

        return substr($example, $from, (int) strpos($example, ']') - $from);
    }
}
