<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use Brick\Math\BigRational;
use SilverParrot\Chat\Level;
use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\AndAlso;
use SilverParrot\Response\Syntax\Arithmetic;
use SilverParrot\Response\Syntax\Bound;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Change;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Either;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Minus;
use SilverParrot\Response\Syntax\Not;
use SilverParrot\Response\Syntax\OrElse;
use SilverParrot\Response\Syntax\Roll;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\SpanFrom;
use SilverParrot\Response\Syntax\UnknownName;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Nearest;
use SilverParrot\Source\Source;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;

/**
 * Reads the inside of one slot, from loose to tight: filters, `or`, `and`, `not`, comparisons, sums, products, unary
 * minus, prefix forms and calls, operands. The first mistake ends the reading of this slot.
 */
final class SlotParser
{
    /** @var list<Finding> */
    public array $findings = [];

    /** @var list<Call> */
    public array $calls = [];

    /** @var list<Change> */
    public array $changes = [];

    private int $at = 0;

    /** Tokens from here on belong to somebody else: the verb's own `to`. */
    private int $end;

    private int $depth = 0;

    /** @var array<int, Token> what is seen behind an end, by where that was set */
    private array $over = [];

    /**
     * @param  list<Token>  $tokens  with an End behind them
     * @param  array<string, true>  $bound  names given with `as` before
     */
    public function __construct(
        private readonly Source $source,
        private readonly Vocabulary $vocabulary,
        private readonly array $tokens,
        private readonly array $bound,
    ) {
        $this->end = count($tokens) - 1;
    }

    /** What stands after `when`. */
    public function condition(int $from): ?Expression
    {
        $this->at = $from;
        try {
            $value = $this->orElse();
            if ($this->token()->is('|')) {
                throw new Misread(Mistake::Unexpected, $this->spanOf($this->token()), ['text' => '|']);
            }
            $this->mustBeOver();

            return $value;
        } catch (Misread $misread) {
            return $this->give($misread);
        }
    }

    public function slot(Span $span): ?Slot
    {
        try {
            $verb = $this->tokens[0]->kind === TokenKind::Path ? $this->vocabulary->verbs[$this->tokens[0]->folded] ?? null : null;
            $value = $verb === null ? $this->orElse() : $this->change($verb);
            $isQuiet = false;
            while ($this->token()->is('|')) {
                $value = $this->filtered($value);
                $isQuiet = $isQuiet || $value->filter instanceof Filters\Quiet;
            }
            $as = $this->as();
            $this->mustBeOver();

            return new Slot($span, $value, $isQuiet, $as);
        } catch (Misread $misread) {
            return $this->give($misread);
        }
    }

    private function give(Misread $misread): null
    {
        $this->findings[] = $misread->finding;

        return null;
    }

    private function change(Verb $verb): Change
    {
        $described = $verb->describe();
        $head = $this->next();
        $incomplete = new Misread(Mistake::VerbIncomplete, $this->source->span($head->from, $this->tokens[$this->end]->from), ['verb' => $described->name, 'example' => trim($described->example, '[]')]);
        $amount = null;
        if ($verb->placeFirst()) {
            $place = $this->place($verb, $incomplete);
            if ($verb->joint() !== '') {
                if (! $this->token()->isWord($verb->joint())) {
                    throw $incomplete;
                }
                $this->next();
                $amount = $this->orElse();
            }
        } else {
            $joint = $this->lastJoint($verb->joint()) ?? throw $incomplete;
            $outer = $this->end;
            $this->end = $joint;
            $amount = $this->orElse();
            $this->mustBeOver();
            $this->end = $outer;
            $this->at = $joint + 1;
            $place = $this->place($verb, $incomplete);
        }

        return $this->changes[] = new Change($this->source->span($head->from, $this->tokens[$this->at - 1]->to), $verb, $amount, $place);
    }

    private function place(Verb $verb, Misread $incomplete): Call
    {
        $token = $this->token();
        if ($token->kind !== TokenKind::Path) {
            throw $token->kind === TokenKind::End ? $incomplete : new Misread(Mistake::PlaceExpected, $this->spanOf($token), ['verb' => $verb->describe()->name, 'example' => trim($verb->describe()->example, '[]')]);
        }
        $this->next();
        $call = $this->called($token, false);
        if ($call instanceof UnknownName) {
            // That nothing has this name says enough.
            throw new Misread(Mistake::UnknownName, $this->spanOf($token), already: array_pop($this->findings));
        }
        if (! $call instanceof Call || ! $call->name instanceof Writable) {
            throw new Misread(Mistake::CannotBeChanged, $this->spanOf($token), ['name' => $token->text]);
        }

        return $call;
    }

    /** The last `to` or `from` outside parentheses and before any filter: the verb's own. */
    private function lastJoint(string $word): ?int
    {
        $depth = 0;
        $last = null;
        for ($i = $this->at; $i < $this->end; $i++) {
            $token = $this->tokens[$i];
            $depth += $token->is('(') ? 1 : ($token->is(')') ? -1 : 0);
            if ($depth === 0 && ($token->is('|') || $token->isWord('as'))) {
                break;
            }
            if ($depth === 0 && $token->isWord($word)) {
                $last = $i;
            }
        }

        return $last;
    }

    private function filtered(Expression $value): Filtered
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

    private function as(): string
    {
        if (! $this->token()->isWord('as')) {
            return '';
        }
        $this->next();
        $token = $this->token();
        if ($token->kind !== TokenKind::Path || str_contains($token->text, '.')) {
            throw new Misread(Mistake::NameExpected, $this->spanOf($token), ['text' => 'as']);
        }
        $this->next();
        $name = $token->folded;
        if (isset(Vocabulary::RESERVED[$name])) {
            throw new Misread(Mistake::NameReserved, $this->spanOf($token), ['name' => $token->text]);
        }
        if (isset($this->vocabulary->names[$name]) || isset($this->bound[$name])) {
            throw new Misread(Mistake::NameTaken, $this->spanOf($token), ['name' => $token->text]);
        }

        return $name;
    }

    private function orElse(): Expression
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

    private function signed(): Expression
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

    private function primary(): Expression
    {
        $token = $this->token();
        if ($token->isWord('roll')) {
            return $this->roll();
        }
        if ($token->isWord('either')) {
            return $this->either();
        }
        if ($token->isWord('since', 'until')) {
            $this->next();
            $moment = $this->operand();

            return new SpanFrom($this->spanOf($token)->through($moment->span()), $token->isWord('since'), $moment);
        }
        if ($token->isWord('top')) {
            return $this->top();
        }
        if ($token->kind === TokenKind::Path && ! $this->isReserved($token)) {
            $this->next();

            return $this->called($token, true);
        }

        return $this->operand();
    }

    /** `top 5 by pebbles`: a use of the name top, with the field for its part. */
    private function top(): Call
    {
        $head = $this->next();
        $count = $this->startsOperand() ? $this->operand() : null;
        if ($count === null || ! $this->token()->isWord('by')) {
            throw new Misread(Mistake::TopIncomplete, $this->source->span($head->from, $this->tokens[$this->at - 1]->to));
        }
        $this->next();
        $field = $this->token();
        if ($field->kind !== TokenKind::Path || str_contains($field->text, '.')) {
            throw new Misread(Mistake::TopIncomplete, $this->source->span($head->from, $this->tokens[$this->at - 1]->to));
        }
        $this->next();

        return $this->calls[] = new Call($this->source->span($head->from, $field->to), $this->vocabulary->names['top'], ['top', $field->text], ['top', $field->folded], [$count]);
    }

    private function called(Token $head, bool $takesOperands): Call|Bound|UnknownName
    {
        $path = explode('.', $head->text);
        $folded = explode('.', $head->folded);
        if (isset($this->bound[$folded[0]]) && count($path) === 1) {
            return new Bound($this->spanOf($head), $folded[0]);
        }
        $name = $this->vocabulary->names[$folded[0]] ?? null;
        if ($name === null) {
            return $this->unknown($head, $path);
        }
        if ($name instanceof Names\TopName) {
            // It is a name for those who describe it and a form of its own for those who write it.
            throw new Misread(Mistake::TopIncomplete, $this->spanOf($head));
        }
        $operands = [];
        $named = [];
        while ($takesOperands && $this->startsOperand()) {
            if ($this->token()->kind === TokenKind::Path && $this->tokens[$this->at + 1]->is('=')) {
                [$key, $argument] = $this->named();
                $named[$key] = $argument;
            } else {
                $operands[] = $this->operand();
            }
        }
        if ($takesOperands && $this->token()->is('=')) {
            throw $this->equalsSign();
        }
        $for = null;
        if ($this->token()->isWord('for')) {
            $this->next();
            $for = $this->operand();
            if (! $for instanceof Bound && ! ($for instanceof Call && $for->name instanceof Names\PersonName && ! isset($for->path[1]))) {
                throw new Misread(Mistake::NotAPerson, $for->span(), ['name' => $this->source->slice($for->span())]);
            }
        }

        return $this->calls[] = new Call($this->source->span($head->from, $this->tokens[$this->at - 1]->to), $name, $path, $folded, $operands, $named, $for);
    }

    /** @param  list<string>  $path */
    private function unknown(Token $head, array $path): UnknownName
    {
        if (isset($this->vocabulary->verbs[$head->folded])) {
            throw new Misread(Mistake::VerbInside, $this->spanOf($head), ['verb' => $head->text]);
        }
        $isWholeSlot = $this->at === 1 && count($path) === 1;
        $known = [...array_keys($this->vocabulary->names), ...array_keys($this->bound), 'word', 'words', 'roll', 'either', 'since', 'until'];
        $nearest = Nearest::to($path[0], $known);
        // A lone word that resembles nothing is prose: [sic]. So are several words in a row.
        if ($nearest === null && $isWholeSlot && ! $this->token()->is('|', '.', '=') && ($this->token()->kind === TokenKind::End || $this->token()->kind === TokenKind::Path)) {
            $inside = $this->source->slice($this->source->span($head->from, $this->tokens[$this->end]->from));
            throw new Misread(Mistake::NotASlot, $this->source->span($head->from, $this->tokens[$this->end]->from), ['text' => rtrim($inside)]);
        }
        $span = $this->spanOf($head);
        $replacement = $nearest === null ? null : implode('.', [$nearest, ...array_slice($path, 1)]);
        $this->findings[] = new Finding(Mistake::UnknownName, $span, data: ['name' => $head->text] + ($replacement === null ? [] : ['nearest' => $replacement]), replacement: $replacement);

        return new UnknownName($span, $head->text);
    }

    private function roll(): Roll
    {
        $head = $this->next();
        $from = $this->bound();
        $to = null;
        if ($this->token()->isWord('to')) {
            $this->next();
            $to = $this->bound();
        } elseif ($this->token()->is(',')) {
            $second = $this->tokens[$this->at + 1];
            throw new Misread(Mistake::RollWithComma, $this->spanOf($this->token()), $second->kind === TokenKind::Number ? ['from' => $this->source->slice($from->span()), 'to' => $second->text] : []);
        }

        return new Roll($this->source->span($head->from, $this->tokens[$this->at - 1]->to), $from, $to);
    }

    private function bound(): Expression
    {
        return $this->token()->is('-') && $this->tokens[$this->at + 1]->kind === TokenKind::Number ? $this->signed() : $this->operand();
    }

    private function either(): Either
    {
        $head = $this->next();
        $options = [$this->operand()];
        while ($this->token()->is(',') || $this->token()->isWord('or')) {
            $this->next();
            $options[] = $this->operand();
        }
        if (count($options) === 1) {
            throw new Misread(Mistake::ValueExpected, $this->spanOf($this->token()));
        }

        return new Either($this->source->span($head->from, $this->tokens[$this->at - 1]->to), $options);
    }

    /** @return array{string, Expression} */
    private function named(): array
    {
        $name = $this->next()->folded;
        $this->next();

        return [$name, $this->operand()];
    }

    private function operand(): Expression
    {
        $token = $this->token();
        if ($token->kind === TokenKind::Number) {
            return $this->number();
        }
        if ($token->kind === TokenKind::Quoted) {
            $this->next();

            return new Literal($this->spanOf($token), $token->text);
        }
        if ($token->is('(')) {
            return $this->parenthesis();
        }
        if ($token->kind === TokenKind::Path) {
            return $this->word($token);
        }

        throw $this->valueExpected($token);
    }

    private function word(Token $token): Expression
    {
        $word = $token->folded;
        if ($word === 'yes' || $word === 'no' || $word === 'nothing') {
            $this->next();

            return new Literal($this->spanOf($token), $word === 'nothing' ? null : $word === 'yes');
        }
        if ($word === 'word' || $word === 'words') {
            return $this->words($word);
        }
        if (isset($this->vocabulary->verbs[$word])) {
            throw new Misread(Mistake::VerbInside, $this->spanOf($token), ['verb' => $token->text]);
        }
        if ($this->isReserved($token)) {
            throw $this->valueExpected($token);
        }
        $this->next();

        return $this->called($token, false);
    }

    private function words(string $word): Words
    {
        $head = $this->next();
        $from = $this->wholeNumber();
        if ($word === 'word') {
            if ($from === null || $from < 1) {
                throw new Misread(Mistake::BadWord, $this->spanOf($head));
            }

            return new Words($this->source->span($head->from, $this->tokens[$this->at - 1]->to), $from, $from);
        }
        $to = null;
        if ($from !== null && $this->token()->isWord('to') && $this->tokens[$this->at + 1]->kind === TokenKind::Number && $this->at + 1 < $this->end) {
            $this->next();
            $to = $this->wholeNumber();
        }
        if (($from ?? 1) < 1 || ($to ?? 1) < 1) {
            throw new Misread(Mistake::BadWord, $this->spanOf($head));
        }

        return new Words($this->source->span($head->from, $this->tokens[$this->at - 1]->to), $from ?? 1, $to);
    }

    private function wholeNumber(): ?int
    {
        $token = $this->token();
        if ($token->kind !== TokenKind::Number || ! ctype_digit($token->text)) {
            return null;
        }
        $this->next();

        return (int) substr($token->text, 0, 6);
    }

    private function number(): Literal
    {
        $token = $this->next();
        $after = $this->token();
        if ($after->kind === TokenKind::Path && $after->from === $token->to && preg_match('/^[dD](\d{1,9})$/D', $after->text, $dice) === 1) {
            throw new Misread(Mistake::DiceNotation, $this->source->span($token->from, $after->to), ['text' => $token->text.$after->text, 'instead' => $token->text === '1' ? "“roll {$dice[1]}”" : "“roll {$dice[1]}” for each, with “+” between them"]);
        }
        $digits = strlen(ltrim(str_replace('.', '', $token->text), '0'));
        $number = $digits > Limits::DIGITS ? null : Number::of(BigRational::of($token->text));
        if ($number === null || $number instanceof Gap) {
            throw new Misread(Mistake::Unexpected, $this->spanOf($token), ['text' => mb_substr($token->text, 0, 40)]);
        }

        return new Literal($this->spanOf($token), $number);
    }

    private function parenthesis(): Expression
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

    private function startsOperand(): bool
    {
        $token = $this->token();
        if ($token->kind === TokenKind::Path) {
            return ! $this->isReserved($token) || $token->isWord('yes', 'no', 'nothing', 'word', 'words') || $this->tokens[$this->at + 1]->is('=');
        }

        return $token->kind === TokenKind::Number || $token->kind === TokenKind::Quoted || $token->is('(');
    }

    private function isReserved(Token $token): bool
    {
        return isset(Vocabulary::RESERVED[$token->folded]);
    }

    /** `counter.my-planks`: nobody subtracts without spaces around names. */
    private function lookForHyphen(): void
    {
        $before = $this->tokens[$this->at - 2] ?? null;
        $sign = $this->tokens[$this->at - 1];
        $after = $this->token();
        if ($sign->is('-') && $before?->kind === TokenKind::Path && $after->kind === TokenKind::Path && $before->to === $sign->from && $sign->to === $after->from) {
            // What stands before the hyphen is no name of its own.
            array_pop($this->calls);
            $instead = "{$before->text}_{$after->text}";
            throw new Misread(Mistake::HyphenInName, $this->source->span($before->from, $after->to), ['instead' => $instead], $instead);
        }
    }

    private function mustBeOver(): void
    {
        if ($this->at < $this->end) {
            throw $this->unexpected();
        }
    }

    private function unexpected(): Misread
    {
        $token = $this->token();
        $next = $this->tokens[$this->at + 1] ?? $token;
        if ($token->is('=')) {
            return $this->equalsSign();
        }
        if ($token->kind === TokenKind::Stray) {
            return $this->stray($token, $next);
        }

        return new Misread(Mistake::Unexpected, $this->spanOf($token), ['text' => mb_substr($this->typed($token), 0, 40)]);
    }

    private function valueExpected(Token $token): Misread
    {
        return match (true) {
            $token->kind === TokenKind::Stray => $this->stray($token, $this->tokens[$this->at + 1] ?? $token),
            $token->kind === TokenKind::Sign && $token->is('=') => $this->equalsSign(),
            default => new Misread(Mistake::ValueExpected, $this->spanOf($token)),
        };
    }

    private function stray(Token $token, Token $next): Misread
    {
        if ($token->text === '!' && $next->is('=')) {
            return new Misread(Mistake::UnequalSign, $this->source->span($token->from, $next->to), ['text' => '!='], 'is not');
        }
        if ($token->text === '&') {
            $to = $next->text === '&' ? $next->to : $token->to;

            return new Misread(Mistake::AndSigns, $this->source->span($token->from, $to), ['text' => $this->source->slice($this->source->span($token->from, $to))], 'and');
        }

        return new Misread(Mistake::StraySign, $this->spanOf($token), ['text' => $token->text]);
    }

    private function equalsSign(): Misread
    {
        $token = $this->token();
        $next = $this->tokens[$this->at + 1] ?? $token;

        return new Misread(Mistake::EqualsSign, $this->source->span($token->from, $next->is('=') ? $next->to : $token->to), [], 'is');
    }

    private function deeper(): void
    {
        if (++$this->depth > Limits::NESTING) {
            throw new Misread(Mistake::TooDeep, $this->spanOf($this->token()), ['limit' => (string) Limits::NESTING]);
        }
    }

    private function token(): Token
    {
        // Behind the end that was set, there is nothing to see.
        return $this->at < $this->end ? $this->tokens[$this->at] : ($this->over[$this->end] ??= new Token(TokenKind::End, '', $this->tokens[$this->end]->from, $this->tokens[$this->end]->from));
    }

    private function next(): Token
    {
        return $this->tokens[$this->at++];
    }

    private function spanOf(Token $token): Span
    {
        return $this->source->span($token->from, $token->to);
    }

    private function typed(Token $token): string
    {
        return $this->source->slice($this->spanOf($token));
    }

    private static function firstSlot(string $example): string
    {
        $from = (int) strpos($example, '[') + 1;

        return substr($example, $from, (int) strpos($example, ']') - $from);
    }
}
