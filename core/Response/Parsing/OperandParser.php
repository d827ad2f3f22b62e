<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use Brick\Math\BigRational;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Either;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\PersonByLogin;
use SilverParrot\Response\Syntax\Roll;
use SilverParrot\Response\Syntax\Top;
use SilverParrot\Response\Syntax\UnknownName;
use SilverParrot\Response\Syntax\Variable;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Source\Suggestions;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;

/**
 * Reads what begins with a word or a digit: prefix forms, calls of names, what was typed, numbers. Values inside are
 * read by the parser that asks; it is handed over each time, since two that hold each other would be rubbish for the
 * collector.
 */
final readonly class OperandParser
{
    public function __construct(private TokenStream $tokens, private Vocabulary $vocabulary, private Found $found)
    {
    }

    /** `top 5 by pebbles` */
    public function top(ExpressionParser $values): Top
    {
        $head = $this->tokens->next();
        $count = $this->tokens->startsOperand() ? $values->operand() : null;
        if ($count === null || ! $this->tokens->current->isWord('by')) {
            throw new ParseException(SyntaxErrorCode::TopIncomplete, $this->tokens->since($head));
        }
        $this->tokens->next();
        $field = $this->tokens->current;
        if ($field->kind !== TokenKind::Path || str_contains($field->text, '.')) {
            throw new ParseException(SyntaxErrorCode::TopIncomplete, $this->tokens->since($head));
        }
        $this->tokens->next();

        return $this->found->nodes[] = new Top($this->tokens->since($head), $count, $field->text, $field->folded);
    }

    public function called(Token $head, bool $takesOperands, ExpressionParser $values): Call|Variable|UnknownName
    {
        $path = explode('.', $head->text);
        $folded = explode('.', $head->folded);
        if (isset($this->found->bound[$folded[0]]) && count($path) === 1) {
            return new Variable($this->tokens->spanOf($head), $folded[0]);
        }
        if ($folded[0] === 'top') {
            throw new ParseException(SyntaxErrorCode::TopIncomplete, $this->tokens->spanOf($head));
        }
        $name = $this->vocabulary->names[$folded[0]] ?? null;
        if ($name === null) {
            return $this->unknown($head, $path);
        }
        $operands = [];
        $named = [];
        while ($takesOperands && $this->tokens->startsOperand()) {
            if ($this->tokens->current->kind === TokenKind::Path && $this->tokens->peek()->is('=')) {
                [$key, $argument] = $this->named($values);
                $named[$key] = $argument;
            } else {
                $operands[] = $values->operand();
            }
        }
        if ($takesOperands && $this->tokens->current->is('=')) {
            throw $this->tokens->equalsSign();
        }
        $for = null;
        if ($this->tokens->current->isWord('for')) {
            $this->tokens->next();
            $for = $values->operand();
            if ($for instanceof Words || ($for instanceof Literal && self::couldBeLogin($for->value))) {
                $for = new PersonByLogin($for);
            }
            if (! $for->isPerson()) {
                throw new ParseException(SyntaxErrorCode::NotAPerson, $for->span(), [
                    'name' => $this->tokens->written($for->span()),
                ]);
            }
        }

        return $this->found->nodes[] = new Call(
            $this->tokens->since($head),
            $name,
            $path,
            $folded,
            $operands,
            $named,
            $for,
        );
    }

    private static function couldBeLogin(mixed $value): bool
    {
        return is_string($value) && preg_match('/^@?[\p{L}\p{N}_]++$/Du', $value) === 1;
    }

    /** @param  list<string>  $path */
    private function unknown(Token $head, array $path): UnknownName
    {
        if (isset($this->vocabulary->verbs[$head->folded])) {
            throw new ParseException(SyntaxErrorCode::VerbInside, $this->tokens->spanOf($head), [
                'verb' => $head->text,
            ]);
        }
        $isWholeSlot = $this->tokens->at === 1 && count($path) === 1;
        $known = [
            ...array_keys($this->vocabulary->names),
            ...array_keys($this->found->bound),
            'word',
            'words',
            'roll',
            'either',
            'since',
            'until',
        ];
        $nearest = Suggestions::to($path[0], $known);
        // A lone word that resembles nothing is prose: [sic]. So are several words in a row.
        if (
            $nearest === null
            && $isWholeSlot
            && ! $this->tokens->current->is('|', '.', '=')
            && ($this->tokens->current->kind === TokenKind::End || $this->tokens->current->kind === TokenKind::Path)
        ) {
            $inside = $this->tokens->written($this->tokens->upToEnd($head));
            throw new ParseException(SyntaxErrorCode::NotASlot, $this->tokens->upToEnd($head), [
                'text' => rtrim($inside),
            ]);
        }
        $span = $this->tokens->spanOf($head);
        $folded = explode('.', $head->folded);
        $replacement = match (true) {
            // “word1”, “words2” without the space.
            preg_match('/^(words?)(\d{1,3})$/i', $head->text, $word) === 1 => "$word[1] $word[2]",
            // A filter behind a dot.
            isset($this->vocabulary->filters[$folded[1] ?? '']) && ! isset($path[2]) => implode(' | ', $path),
            $nearest !== null => implode('.', [$nearest, ...array_slice($path, 1)]),
            default => null,
        };
        if (
            $replacement === null
            && count($path) === 1
            && $this->tokens->at > 1
            && ($words = $this->prose($head)) !== null
        ) {
            throw new ParseException(
                SyntaxErrorCode::UnknownName,
                $words,
                ['name' => $this->tokens->written($words), 'nearest' => "\"{$this->tokens->written($words)}\""],
                "\"{$this->tokens->written($words)}\"",
            );
        }
        $this->found->findings[] = new Finding(
            SyntaxErrorCode::UnknownName,
            $span,
            data: ['name' => $head->text] + ($replacement === null ? [] : ['nearest' => $replacement]),
            replacement: $replacement,
        );

        return new UnknownName($span, $head->text);
    }

    /** Words in a row, up to the end or a bar: a text without its quotes. */
    private function prose(Token $head): ?Span
    {
        $tokens = $this->tokens;
        while ($tokens->current->kind === TokenKind::Path && ! $tokens->isReserved($tokens->current)) {
            $tokens->next();
        }

        return $this->tokens->current->kind === TokenKind::End || $this->tokens->current->is('|', ')', ',')
            ? $this->tokens->since($head)
            : null;
    }

    public function roll(ExpressionParser $values): Roll
    {
        $head = $this->tokens->next();
        $from = $this->bound($values);
        $to = null;
        if ($this->tokens->current->isWord('to')) {
            $this->tokens->next();
            $to = $this->bound($values);
        } elseif ($this->tokens->current->is(',')) {
            $second = $this->tokens->peek();
            throw new ParseException(
                SyntaxErrorCode::RollWithComma,
                $this->tokens->spanOf($this->tokens->current),
                $second->kind === TokenKind::Number
                    ? ['from' => $this->tokens->written($from->span()), 'to' => $second->text]
                    : [],
                ' to',
            );
        }

        return new Roll($this->tokens->since($head), $from, $to);
    }

    private function bound(ExpressionParser $values): Expression
    {
        return $this->tokens->current->is('-') && $this->tokens->peek()->kind === TokenKind::Number
            ? $values->signed()
            : $values->operand();
    }

    public function either(ExpressionParser $values): Either
    {
        $head = $this->tokens->next();
        $options = [$values->operand()];
        while ($this->tokens->current->is(',') || $this->tokens->current->isWord('or')) {
            $this->tokens->next();
            $options[] = $values->operand();
        }
        if (count($options) === 1) {
            throw new ParseException(SyntaxErrorCode::ValueExpected, $this->tokens->spanOf($this->tokens->current));
        }

        return new Either($this->tokens->since($head), $options);
    }

    /** @return array{string, Expression} */
    public function named(ExpressionParser $values): array
    {
        $name = $this->tokens->next()->folded;
        $this->tokens->next();

        return [$name, $values->operand()];
    }

    public function words(string $word): Words
    {
        $head = $this->tokens->next();
        $from = $this->wholeNumber();
        if ($word === 'word') {
            if ($from === null || $from < 1) {
                throw new ParseException(SyntaxErrorCode::BadWord, $this->tokens->spanOf($head));
            }

            return new Words($this->tokens->since($head), $from, $from);
        }
        $to = null;
        if (
            $from !== null
            && $this->tokens->current->isWord('to')
            && $this->tokens->peek()->kind === TokenKind::Number
            && $this->tokens->at + 1 < $this->tokens->end
        ) {
            $this->tokens->next();
            $to = $this->wholeNumber();
        }
        if (($from ?? 1) < 1 || ($to ?? 1) < 1) {
            throw new ParseException(SyntaxErrorCode::BadWord, $this->tokens->spanOf($head));
        }

        return new Words($this->tokens->since($head), $from ?? 1, $to);
    }

    private function wholeNumber(): ?int
    {
        $token = $this->tokens->current;
        if ($token->kind !== TokenKind::Number || ! ctype_digit($token->text)) {
            return null;
        }
        $this->tokens->next();

        return (int) substr($token->text, 0, 6);
    }

    public function number(): Literal
    {
        $token = $this->tokens->next();
        $after = $this->tokens->current;
        if (
            $after->kind === TokenKind::Path
            && $after->from === $token->to
            && preg_match('/^[dD](\d{1,9})$/D', $after->text, $dice) === 1
        ) {
            $rolls = implode(' + ', array_fill(0, min(10, max(1, (int) $token->text)), "roll {$dice[1]}"));
            throw new ParseException(
                SyntaxErrorCode::DiceNotation,
                $this->tokens->between($token->from, $after->to),
                ['text' => $token->text.$after->text, 'instead' => "“{$rolls}”"],
                (int) $token->text <= 10 ? $rolls : null,
            );
        }
        $digits = strlen(ltrim(str_replace('.', '', $token->text), '0'));
        $number = $digits > Limits::DIGITS ? null : Number::of(BigRational::of($token->text));
        if ($number === null || $number instanceof Gap) {
            throw new ParseException(SyntaxErrorCode::Unexpected, $this->tokens->spanOf($token), [
                'text' => mb_substr($token->text, 0, 40),
            ]);
        }

        return new Literal($this->tokens->spanOf($token), $number);
    }
}
