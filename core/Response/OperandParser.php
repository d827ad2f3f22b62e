<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use Brick\Math\BigRational;
use SilverParrot\Response\Syntax\Bound;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Either;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Roll;
use SilverParrot\Response\Syntax\SpanFrom;
use SilverParrot\Response\Syntax\UnknownName;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Nearest;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;

/** Reads what signs stand between: prefix forms, calls of names, and operands. */
abstract class OperandParser extends TokenReader
{
    abstract protected function parenthesis(): Expression;

    abstract protected function signed(): Expression;

    protected function primary(): Expression
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

    protected function called(Token $head, bool $takesOperands): Call|Bound|UnknownName
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
    protected function named(): array
    {
        $name = $this->next()->folded;
        $this->next();

        return [$name, $this->operand()];
    }

    protected function operand(): Expression
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
}
