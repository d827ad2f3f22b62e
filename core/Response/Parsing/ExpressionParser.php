<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\AndAlso;
use SilverParrot\Response\Syntax\Arithmetic;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Coalesce;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Minus;
use SilverParrot\Response\Syntax\Not;
use SilverParrot\Response\Syntax\SinceUntil;
use SilverParrot\Response\Syntax\UnknownName;
use SilverParrot\Response\Syntax\Variable;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;

/** Reads a value, from loose to tight: `or`, `and`, `not`, comparisons, sums, products, unary minus, operands. */
final class ExpressionParser
{
    private readonly OperandParser $operands;

    private readonly FilterParser $filters;

    private int $depth = 0;

    public function __construct(
        private readonly TokenStream $tokens,
        private readonly Vocabulary $vocabulary,
        private readonly Found $found,
    ) {
        $this->operands = new OperandParser($tokens, $vocabulary, $found);
        $this->filters = new FilterParser($tokens, $vocabulary, $this->operands);
    }

    /** Another slot begins, however deep the one before it ended. */
    public function begin(): void
    {
        $this->depth = 0;
    }

    public function value(): Expression
    {
        $this->deeper();
        $value = $this->andAlso();
        while ($this->tokens->current->isWord('or')) {
            $this->tokens->next();
            $value = new Coalesce($value, $this->andAlso());
        }
        $this->depth--;

        return $value;
    }

    private function andAlso(): Expression
    {
        $value = $this->isAlone() ? $this->primary() : $this->negated();
        while ($this->tokens->current->isWord('and')) {
            $this->tokens->next();
            $value = new AndAlso($value, $this->negated());
        }

        return $value;
    }

    /**
     * Most values are one word, text or number: what stands behind it tells that no sign binds it, and the way down is
     * short.
     */
    private function isAlone(): bool
    {
        $token = $this->tokens->current;
        $next = $this->tokens->at + 1 < $this->tokens->end ? $this->tokens->peek() : null;
        $isSimple =
            $token->kind === TokenKind::Quoted
            || $token->kind === TokenKind::Number
            || ($token->kind === TokenKind::Path && ! $this->tokens->isReserved($token));

        return $isSimple
            && ($next === null
                || ($next->kind === TokenKind::Sign
                    ? $next->text === '|' || $next->text === ')'
                    : $next->kind === TokenKind::Path && ($next->folded === 'or' || $next->folded === 'as')));
    }

    private function negated(): Expression
    {
        if (! $this->tokens->current->isWord('not')) {
            return $this->relation();
        }
        $not = $this->tokens->next();
        $value = $this->relation();

        return new Not($this->tokens->spanOf($not)->through($value->span()), $value);
    }

    private function relation(): Expression
    {
        $left = $this->sum();
        $comparison = $this->compared($left);
        if (
            $comparison !== null
            && ($this->tokens->current->is('<', '<=', '>', '>=')
                || $this->tokens->current->isWord('is', 'contains', 'starts', 'ends'))
        ) {
            throw new ParseException(SyntaxErrorCode::ChainedComparison, $this->tokens->spanOf($this->tokens->current));
        }

        return $comparison ?? $left;
    }

    private function compared(Expression $left): ?Comparison
    {
        $token = $this->tokens->current;
        if ($token->isWord('is')) {
            $this->tokens->next();
            $isNegated = $this->tokens->current->isWord('not');
            if ($isNegated) {
                $this->tokens->next();
            }
            if (! $this->tokens->current->isWord('one') || ! $this->tokens->peek()->isWord('of')) {
                return $this->found->nodes[] = new Comparison(Relation::Is, $isNegated, $left, [$this->sum()]);
            }
            $this->tokens->jump($this->tokens->at + 2);
            $right = [$this->sum()];
            while ($this->tokens->current->is(',') || $this->tokens->current->isWord('or')) {
                $this->tokens->next();
                $right[] = $this->sum();
            }

            return $this->found->nodes[] = new Comparison(Relation::Is, $isNegated, $left, $right);
        }
        $relation = match (true) {
            $token->is('<', '<=', '>', '>=') => Relation::from($token->text),
            $token->isWord('contains') => Relation::Contains,
            default => null,
        };
        if ($relation === null && $token->isWord('starts', 'ends') && $this->tokens->peek()->isWord('with')) {
            $relation = $token->isWord('starts') ? Relation::StartsWith : Relation::EndsWith;
            $this->tokens->next();
        }
        if ($relation === null) {
            return null;
        }
        $this->tokens->next();

        return $this->found->nodes[] = new Comparison($relation, false, $left, [$this->sum()]);
    }

    private function sum(): Expression
    {
        $value = $this->product();
        while ($this->tokens->current->is('+', '-')) {
            $operation = Operation::from($this->tokens->next()->text);
            $this->lookForHyphen();
            $value = new Arithmetic($operation, $value, $this->product());
        }

        return $value;
    }

    private function product(): Expression
    {
        $value = $this->signed();
        while ($this->tokens->current->is('*', '/', '%')) {
            $sign = $this->tokens->next();
            if (
                $sign->is('%')
                && ! $this->tokens->startsOperand()
                && ! $this->tokens->current->is('-')
                && ! $this->tokens->current->isWord('roll', 'either', 'since', 'until', 'top')
            ) {
                throw new ParseException(SyntaxErrorCode::PercentSign, $this->tokens->spanOf($sign));
            }
            $value = new Arithmetic(Operation::from($sign->text), $value, $this->signed());
        }

        return $value;
    }

    public function signed(): Expression
    {
        if (! $this->tokens->current->is('-')) {
            return $this->primary();
        }
        $minus = $this->tokens->next();
        $value = $this->primary();
        if ($value instanceof Literal && (is_int($value->value) || $value->value instanceof Number)) {
            $negative = Numbers::combine(Operation::Minus, 0, $value->value);

            return new Literal($this->tokens->spanOf($minus)->through($value->span()), $negative);
        }

        return new Minus($this->tokens->spanOf($minus)->through($value->span()), $value);
    }

    private function parenthesis(): Expression
    {
        $open = $this->tokens->next();
        $value = $this->value();
        while ($this->tokens->current->is('|')) {
            $value = $this->filters->filtered($value, $this);
        }
        if (! $this->tokens->current->is(')')) {
            throw $this->tokens->current->kind === TokenKind::End
                ? new ParseException(SyntaxErrorCode::ParenthesisNotClosed, $this->tokens->spanOf($open))
                : $this->tokens->unexpected();
        }
        $this->tokens->next();

        return $value;
    }

    private function primary(): Expression
    {
        $token = $this->tokens->current;
        if ($token->isWord('roll')) {
            return $this->operands->roll($this);
        }
        if ($token->isWord('either')) {
            return $this->operands->either($this);
        }
        if ($token->isWord('since', 'until')) {
            $this->tokens->next();
            $moment = $this->operand();

            return new SinceUntil(
                $this->tokens->spanOf($token)->through($moment->span()),
                $token->isWord('since'),
                $moment,
            );
        }
        if ($token->isWord('top')) {
            return $this->operands->top($this);
        }
        if ($token->kind === TokenKind::Path && ! $this->tokens->isReserved($token)) {
            $this->tokens->next();

            return $this->operands->called($token, true, $this);
        }

        return $this->operand();
    }

    public function operand(): Expression
    {
        $token = $this->tokens->current;
        if ($token->kind === TokenKind::Number) {
            return $this->operands->number();
        }
        if ($token->kind === TokenKind::Quoted) {
            $this->tokens->next();

            return new Literal($this->tokens->spanOf($token), $token->text);
        }
        if ($token->is('(')) {
            return $this->parenthesis();
        }
        if ($token->kind === TokenKind::Path) {
            return $this->word($token);
        }

        throw $this->tokens->valueExpected($token);
    }

    private function word(Token $token): Expression
    {
        $word = $token->folded;
        if ($word === 'yes' || $word === 'no' || $word === 'nothing') {
            $this->tokens->next();

            return new Literal($this->tokens->spanOf($token), $word === 'nothing' ? null : $word === 'yes');
        }
        if ($word === 'word' || $word === 'words') {
            return $this->operands->words($word);
        }
        if (isset($this->vocabulary->verbs[$word])) {
            throw new ParseException(SyntaxErrorCode::VerbInside, $this->tokens->spanOf($token), [
                'verb' => $token->text,
            ]);
        }
        if ($this->tokens->isReserved($token)) {
            throw $this->tokens->valueExpected($token);
        }
        $this->tokens->next();

        return $this->operands->called($token, false, $this);
    }

    /** `counter.my-planks`: nobody subtracts without spaces around names. */
    private function lookForHyphen(): void
    {
        $before = $this->tokens->peek(-2);
        $sign = $this->tokens->peek(-1);
        $after = $this->tokens->current;
        if (
            $sign->is('-')
            && $before->kind === TokenKind::Path
            && $after->kind === TokenKind::Path
            && $before->to === $sign->from
            && $sign->to === $after->from
        ) {
            // What stands before the hyphen is no name of its own.
            array_pop($this->found->nodes);
            $instead = "{$before->text}_{$after->text}";
            throw new ParseException(
                SyntaxErrorCode::HyphenInName,
                $this->tokens->between($before->from, $after->to),
                ['instead' => $instead],
                $instead,
            );
        }
    }

    private function deeper(): void
    {
        if (++$this->depth > Limits::NESTING) {
            throw new ParseException(SyntaxErrorCode::TooDeep, $this->tokens->spanOf($this->tokens->current), [
                'limit' => (string) Limits::NESTING,
            ]);
        }
    }

    public function filtered(Expression $value): Filtered
    {
        return $this->filters->filtered($value, $this);
    }

    /** The use of a name that begins with a token which was read already, without operands. */
    public function called(Token $head): Call|Variable|UnknownName
    {
        return $this->operands->called($head, false, $this);
    }
}
