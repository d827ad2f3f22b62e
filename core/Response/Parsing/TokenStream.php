<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Source;
use SilverParrot\Source\Span;

/** The tokens of one slot, read from left to right, and what is said of those that do not belong where they stand. */
final class TokenStream
{
    /** How many have been read. */
    public int $at = 0;

    public int $end = 0;

    /** @var list<Token> with an End behind them */
    private array $tokens = [];

    /** What is read next. */
    public Token $current;

    private Token $behind;

    public function __construct(private readonly Source $source)
    {
    }

    /** @param  list<Token>  $tokens  of the next slot, with an End behind them */
    public function begin(array $tokens): void
    {
        $this->tokens = $tokens;
        $this->at = 0;
        $this->end = count($tokens) - 1;
        $this->behind = $tokens[$this->end];
        $this->current = $tokens[0];
    }

    public function startsOperand(): bool
    {
        $token = $this->current;
        if ($token->kind === TokenKind::Path) {
            return ! $this->isReserved($token)
                || $token->isWord('yes', 'no', 'nothing', 'word', 'words')
                || $this->peek()->is('=');
        }

        return $token->kind === TokenKind::Number || $token->kind === TokenKind::Quoted || $token->is('(');
    }

    public function isReserved(Token $token): bool
    {
        return isset(Vocabulary::RESERVED[$token->folded]);
    }

    public function mustBeOver(): void
    {
        if ($this->at < $this->end) {
            throw $this->unexpected();
        }
    }

    public function unexpected(): ParseException
    {
        $token = $this->current;
        $next = $this->peek();
        if ($token->is('=')) {
            return $this->equalsSign();
        }
        if ($token->kind === TokenKind::Stray) {
            return $this->stray($token, $next);
        }

        return new ParseException(SyntaxErrorCode::Unexpected, $this->spanOf($token), [
            'text' => mb_substr($this->typed($token), 0, 40),
        ]);
    }

    public function valueExpected(Token $token): ParseException
    {
        return match (true) {
            $token->kind === TokenKind::Stray => $this->stray($token, $this->peek()),
            $token->kind === TokenKind::Sign && $token->is('=') => $this->equalsSign(),
            default => new ParseException(SyntaxErrorCode::ValueExpected, $this->spanOf($token)),
        };
    }

    private function stray(Token $token, Token $next): ParseException
    {
        if ($token->text === '!' && $next->is('=')) {
            return new ParseException(
                SyntaxErrorCode::UnequalSign,
                $this->source->span($token->from, $next->to),
                ['text' => '!='],
                'is not',
            );
        }
        if ($token->text === '&') {
            $to = $next->text === '&' ? $next->to : $token->to;

            return new ParseException(
                SyntaxErrorCode::AndSigns,
                $this->source->span($token->from, $to),
                ['text' => $this->source->slice($this->source->span($token->from, $to))],
                'and',
            );
        }

        // Spaces that are none, and what nobody sees, come along when a text is pasted.
        $instead = match (true) {
            preg_match('/^\p{Z}$/u', $token->text) === 1 => ' ',
            preg_match('/^\p{Cf}$/u', $token->text) === 1 => '',
            default => null,
        };

        return new ParseException(
            SyntaxErrorCode::StraySign,
            $this->spanOf($token),
            ['text' => $token->text],
            $instead,
        );
    }

    public function equalsSign(): ParseException
    {
        $token = $this->current;
        $next = $this->peek();
        $isOrder = $next->is('>', '<') && $next->from === $token->to;

        return new ParseException(
            SyntaxErrorCode::EqualsSign,
            $this->source->span($token->from, $isOrder || $next->is('=') ? $next->to : $token->to),
            [],
            $isOrder ? "{$next->text}=" : 'is',
        );
    }

    public function next(): Token
    {
        $token = $this->tokens[$this->at++];
        $this->current = $this->at < $this->end ? $this->tokens[$this->at] : $this->behind;

        return $token;
    }

    public function jump(int $at): void
    {
        $this->at = $at;
        $this->current = $at < $this->end ? $this->tokens[$at] : $this->behind;
    }

    /** Tokens from there on belong to somebody else: behind an end that was set, there is nothing to see. */
    public function endAt(int $end): void
    {
        $this->end = $end;
        $at = $this->tokens[$end]->from;
        $this->behind =
            $this->tokens[$end]->kind === TokenKind::End
                ? $this->tokens[$end]
                : new Token(TokenKind::End, '', $at, $at);
        $this->jump($this->at);
    }

    public function spanOf(Token $token): Span
    {
        return $this->source->span($token->from, $token->to);
    }

    public function typed(Token $token): string
    {
        return $this->source->slice($this->spanOf($token));
    }

    /** The one so many places further on, or back, whatever end was set; the End where there is none. */
    public function peek(int $by = 1): Token
    {
        return $this->tokens[$this->at + $by] ?? $this->tokens[count($this->tokens) - 1];
    }

    /** From a token through the one that was read last. */
    public function since(Token $head): Span
    {
        return $this->source->span($head->from, $this->peek(-1)->to);
    }

    /** From a token up to where the end is. */
    public function upToEnd(Token $head): Span
    {
        return $this->source->span($head->from, $this->tokens[$this->end]->from);
    }

    public function between(int $from, int $to): Span
    {
        return $this->source->span($from, $to);
    }

    public function written(Span $span): string
    {
        return $this->source->slice($span);
    }
}
