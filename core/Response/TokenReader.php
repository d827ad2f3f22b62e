<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Source;
use SilverParrot\Source\Span;

/** The tokens of one slot, read from left to right, and what is said of those that do not belong where they stand. */
abstract class TokenReader
{
    /** @var list<Finding> */
    public array $findings = [];

    /** @var list<Call> */
    public array $calls = [];

    protected int $at = 0;

    /** Tokens from here on belong to somebody else: the verb's own `to`. */
    protected int $end;

    protected int $depth = 0;

    /** @var array<int, Token> what is seen behind an end, by where that was set */
    private array $over = [];

    /**
     * @param  list<Token>  $tokens  with an End behind them
     * @param  array<string, true>  $bound  names given with `as` before
     */
    public function __construct(
        protected readonly Source $source,
        protected readonly Vocabulary $vocabulary,
        protected readonly array $tokens,
        protected readonly array $bound,
    ) {
        $this->end = count($tokens) - 1;
    }

    protected function startsOperand(): bool
    {
        $token = $this->token();
        if ($token->kind === TokenKind::Path) {
            return ! $this->isReserved($token) || $token->isWord('yes', 'no', 'nothing', 'word', 'words') || $this->tokens[$this->at + 1]->is('=');
        }

        return $token->kind === TokenKind::Number || $token->kind === TokenKind::Quoted || $token->is('(');
    }

    protected function isReserved(Token $token): bool
    {
        return isset(Vocabulary::RESERVED[$token->folded]);
    }

    /** `counter.my-planks`: nobody subtracts without spaces around names. */
    protected function lookForHyphen(): void
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

    protected function mustBeOver(): void
    {
        if ($this->at < $this->end) {
            throw $this->unexpected();
        }
    }

    protected function unexpected(): Misread
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

    protected function valueExpected(Token $token): Misread
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

    protected function equalsSign(): Misread
    {
        $token = $this->token();
        $next = $this->tokens[$this->at + 1] ?? $token;

        return new Misread(Mistake::EqualsSign, $this->source->span($token->from, $next->is('=') ? $next->to : $token->to), [], 'is');
    }

    protected function deeper(): void
    {
        if (++$this->depth > Limits::NESTING) {
            throw new Misread(Mistake::TooDeep, $this->spanOf($this->token()), ['limit' => (string) Limits::NESTING]);
        }
    }

    protected function token(): Token
    {
        // Behind the end that was set, there is nothing to see.
        return $this->at < $this->end ? $this->tokens[$this->at] : ($this->over[$this->end] ??= new Token(TokenKind::End, '', $this->tokens[$this->end]->from, $this->tokens[$this->end]->from));
    }

    protected function next(): Token
    {
        return $this->tokens[$this->at++];
    }

    protected function spanOf(Token $token): Span
    {
        return $this->source->span($token->from, $token->to);
    }

    protected function typed(Token $token): string
    {
        return $this->source->slice($this->spanOf($token));
    }
}
