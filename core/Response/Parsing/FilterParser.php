<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Response\Vocabulary\TakesNamed;
use SilverParrot\Response\Vocabulary\TakesWords;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Suggestions;

/** Reads a filter behind a value. */
final readonly class FilterParser
{
    public function __construct(
        private TokenStream $tokens,
        private Vocabulary $vocabulary,
        private OperandParser $operands,
    ) {
    }

    public function filtered(Expression $value, ExpressionParser $values): Filtered
    {
        $this->tokens->next();
        $name = $this->tokens->current;
        if ($name->kind !== TokenKind::Path) {
            throw $name->is('|')
                ? new ParseException(SyntaxErrorCode::OrSigns, $this->tokens->between($name->from - 1, $name->to))
                : new ParseException(SyntaxErrorCode::NameExpected, $this->tokens->spanOf($name), ['text' => '|']);
        }
        $this->tokens->next();
        $filter = $this->vocabulary->filters[$name->folded] ?? null;
        if ($filter === null) {
            $nearest = Suggestions::to($name->text, array_keys($this->vocabulary->filters));
            throw new ParseException(
                SyntaxErrorCode::UnknownFilter,
                $this->tokens->spanOf($name),
                ['name' => $name->text] + ($nearest === null ? [] : ['nearest' => $nearest]),
                $nearest,
            );
        }
        $arguments = [];
        $named = [];
        while ($this->tokens->startsOperand()) {
            if ($this->tokens->peek()->is('=') && $this->tokens->current->kind === TokenKind::Path) {
                [$key, $argument] = $this->operands->named($values);
                $named[$key] = $argument;
            } elseif ($filter instanceof TakesWords && $this->tokens->current->isWord(...$filter->words())) {
                $word = $this->tokens->next();
                $arguments[] = new Literal($this->tokens->spanOf($word), strtolower($word->text));
            } elseif ($filter instanceof TakesWords) {
                throw $this->filterNeeds($filter, $this->tokens->current);
            } else {
                $arguments[] = $values->operand();
            }
        }
        $this->checkArity($filter, $name, count($arguments), $named !== []);
        if ($this->tokens->current->isWord('or')) {
            throw new ParseException(
                SyntaxErrorCode::OrAfterFilter,
                $this->tokens->spanOf($this->tokens->current),
                $this->tokens->peek()->kind === TokenKind::Quoted
                    ? ['instead' => $this->tokens->typed($this->tokens->peek())]
                    : [],
                '| default',
            );
        }

        return new Filtered(
            $value->span()->through($this->tokens->spanOf($this->tokens->peek(-1))),
            $value,
            $filter,
            $arguments,
            $named,
        );
    }

    private function checkArity(Filter $filter, Token $name, int $given, bool $hasNamed): void
    {
        [$least, $most] = $filter->arity();
        $described = $filter->describe();
        if ($given < $least || ($given === 0 && ! $hasNamed && $filter instanceof TakesNamed)) {
            throw $this->filterNeeds($filter, $name);
        }
        if ($given > $most || ($hasNamed && ! $filter instanceof TakesNamed)) {
            throw new ParseException(SyntaxErrorCode::FilterTakesLess, $this->tokens->spanOf($name), [
                'name' => $described->name,
                'most' => (string) $most,
            ]);
        }
    }

    private function filterNeeds(Filter $filter, Token $at): ParseException
    {
        $described = $filter->describe();

        return new ParseException(SyntaxErrorCode::FilterNeeds, $this->tokens->spanOf($at), [
            'name' => $described->name,
            'needs' => $described->takes,
            'example' => self::firstSlot($described->example),
        ]);
    }

    private static function firstSlot(string $example): string
    {
        $from = (int) strpos($example, '[') + 1;

        return substr($example, $from, (int) strpos($example, ']') - $from);
    }
}
