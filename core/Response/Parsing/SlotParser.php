<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\Syntax\Assignment;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\UnknownName;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\PrintsNothing;
use SilverParrot\Response\Vocabulary\Verb;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Response\Vocabulary\Writable;
use SilverParrot\Source\Source;
use SilverParrot\Source\Span;

/**
 * Reads the inside of one slot: a value or a verb, filters, and the name that it is given. The first mistake ends the
 * reading of this slot.
 */
final readonly class SlotParser
{
    private TokenStream $tokens;

    private ExpressionParser $values;

    public function __construct(Source $source, private Vocabulary $vocabulary, private Found $found)
    {
        $this->tokens = new TokenStream($source);
        $this->values = new ExpressionParser($this->tokens, $vocabulary, $found);
    }

    /**
     * What stands after `when`.
     *
     * @param  list<Token>  $tokens
     */
    public function condition(array $tokens, int $from): ?Expression
    {
        $this->begin($tokens);
        $this->tokens->jump($from);
        try {
            $value = $this->values->value();
            if ($this->tokens->current->is('|')) {
                throw $this->filterInCondition($tokens[$from]);
            }
            $this->tokens->mustBeOver();

            return $value;
        } catch (ParseException $misread) {
            return $this->give($misread);
        }
    }

    /** @param  list<Token>  $tokens */
    public function slot(array $tokens, Span $span): ?Slot
    {
        $this->begin($tokens);
        try {
            $verb = $tokens[0]->kind === TokenKind::Path ? $this->vocabulary->verbs[$tokens[0]->folded] ?? null : null;
            $value = $verb === null ? $this->values->value() : $this->change($verb);
            $isQuiet = false;
            while ($this->tokens->current->is('|')) {
                $value = $this->values->filtered($value);
                $isQuiet = $isQuiet || $value->filter instanceof PrintsNothing;
            }
            $as = $this->as();
            $word = $this->tokens->current;
            if ($as === '' && $word->kind === TokenKind::Path && isset($this->vocabulary->filters[$word->folded])) {
                throw new ParseException(
                    SyntaxErrorCode::Unexpected,
                    $this->tokens->spanOf($word),
                    ['text' => $word->text],
                    "| {$word->text}",
                );
            }
            $this->tokens->mustBeOver();

            return new Slot($span, $value, $isQuiet, $as);
        } catch (ParseException $misread) {
            return $this->give($misread);
        }
    }

    /** @param  list<Token>  $tokens */
    private function begin(array $tokens): void
    {
        $this->tokens->begin($tokens);
        $this->values->begin();
    }

    /** A filter in a condition stands in parentheses, with the value that it changes. */
    private function filterInCondition(Token $first): ParseException
    {
        $bar = $this->tokens->current;
        while (
            $this->tokens->current->kind !== TokenKind::End
            && ! $this->tokens->current->is('<', '<=', '>', '>=')
            && ! $this->tokens->current->isWord('is', 'contains', 'starts', 'ends', 'and', 'or')
        ) {
            $this->tokens->next();
        }
        $span = $this->tokens->since($first);

        return new ParseException(
            SyntaxErrorCode::Unexpected,
            $span,
            ['text' => '|'],
            "({$this->tokens->written($span)})",
        );
    }

    private function give(ParseException $misread): null
    {
        $this->found->findings[] = $misread->finding;

        return null;
    }

    private function change(Verb $verb): Assignment
    {
        $described = $verb->describe();
        $head = $this->tokens->next();
        $incomplete = new ParseException(SyntaxErrorCode::VerbIncomplete, $this->tokens->upToEnd($head), [
            'verb' => $described->name,
            'example' => trim($described->example, '[]'),
        ]);
        $amount = null;
        if ($verb->placeFirst()) {
            $place = $this->place($verb, $incomplete);
            if ($verb->joint() !== '') {
                if (! $this->tokens->current->isWord($verb->joint())) {
                    throw $incomplete;
                }
                $this->tokens->next();
                $amount = $this->values->value();
            }
        } else {
            $joint = $this->lastJoint($verb->joint()) ?? throw $incomplete;
            $outer = $this->tokens->end;
            $this->tokens->endAt($joint);
            $amount = $this->values->value();
            $this->tokens->mustBeOver();
            $this->tokens->endAt($outer);
            $this->tokens->jump($joint + 1);
            $place = $this->place($verb, $incomplete);
        }

        return $this->found->nodes[] = new Assignment($this->tokens->since($head), $verb, $amount, $place);
    }

    private function place(Verb $verb, ParseException $incomplete): Call
    {
        $token = $this->tokens->current;
        if ($token->kind !== TokenKind::Path) {
            throw $token->kind === TokenKind::End
                ? $incomplete
                : new ParseException(SyntaxErrorCode::PlaceExpected, $this->tokens->spanOf($token), [
                    'verb' => $verb->describe()->name,
                    'example' => trim($verb->describe()->example, '[]'),
                ]);
        }
        $this->tokens->next();
        $call = $this->values->called($token);
        if ($call instanceof UnknownName) {
            // That nothing has this name says enough.
            throw new ParseException(
                SyntaxErrorCode::UnknownName,
                $this->tokens->spanOf($token),
                already: array_pop($this->found->findings),
            );
        }
        if (! $call instanceof Call || ! $call->name instanceof Writable) {
            throw new ParseException(SyntaxErrorCode::CannotBeChanged, $this->tokens->spanOf($token), [
                'name' => $token->text,
            ]);
        }

        return $call;
    }

    /** The last `to` or `from` outside parentheses and before any filter: the verb's own. */
    private function lastJoint(string $word): ?int
    {
        $depth = 0;
        $last = null;
        for ($i = $this->tokens->at; $i < $this->tokens->end; $i++) {
            $token = $this->tokens->peek($i - $this->tokens->at);
            $depth += (int) $token->is('(') - (int) $token->is(')');
            if ($depth === 0 && ($token->is('|') || $token->isWord('as'))) {
                break;
            }
            if ($depth === 0 && $token->isWord($word)) {
                $last = $i;
            }
        }

        return $last;
    }

    private function as(): string
    {
        if (! $this->tokens->current->isWord('as')) {
            return '';
        }
        $this->tokens->next();
        $token = $this->tokens->current;
        if ($token->kind !== TokenKind::Path || str_contains($token->text, '.')) {
            throw new ParseException(SyntaxErrorCode::NameExpected, $this->tokens->spanOf($token), ['text' => 'as']);
        }
        $this->tokens->next();
        $name = $token->folded;
        if (isset(Vocabulary::RESERVED[$name])) {
            throw new ParseException(SyntaxErrorCode::NameReserved, $this->tokens->spanOf($token), [
                'name' => $token->text,
            ]);
        }
        if (isset($this->vocabulary->names[$name]) || isset($this->found->bound[$name])) {
            throw new ParseException(
                SyntaxErrorCode::NameTaken,
                $this->tokens->spanOf($token),
                ['name' => $token->text],
                "my_{$token->text}",
            );
        }

        return $name;
    }
}
