<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/**
 * What an author typed. The lexer walks it in bytes, which is fast; whatever leaves the language speaks of characters,
 * and this is the one place where the two meet.
 */
final class Source
{
    public readonly string $text;

    private readonly bool $plain;

    /** @var array{int, int} the byte looked up last, and its character: look-ups mostly move forward */
    private array $last = [0, 0];

    public function __construct(string $text)
    {
        // Bytes that are no UTF-8 would make every character count after them wrong.
        $this->text = mb_check_encoding($text, 'UTF-8') ? $text : mb_scrub($text, 'UTF-8');
        $this->plain = mb_check_encoding($this->text, 'ASCII');
    }

    public function span(int $fromByte, int $toByte): Span
    {
        return new Span($this->character($fromByte), $this->character($toByte));
    }

    public function slice(Span $span): string
    {
        return $this->plain
            ? substr($this->text, $span->from, $span->to - $span->from)
            : mb_substr($this->text, $span->from, $span->to - $span->from);
    }

    public function length(): int
    {
        return $this->plain ? strlen($this->text) : mb_strlen($this->text);
    }

    /** @return array{int, int} line and column, both from 1 */
    public function lineAndColumn(int $character): array
    {
        $before = $this->slice(new Span(0, $character));
        $lastBreak = mb_strrpos($before, "\n");

        return [substr_count($before, "\n") + 1, $lastBreak === false ? $character + 1 : $character - $lastBreak];
    }

    private function character(int $byte): int
    {
        if ($this->plain) {
            return $byte;
        }
        [$fromByte, $fromCharacter] = $this->last[0] <= $byte ? $this->last : [0, 0];
        $character = $fromCharacter + mb_strlen(substr($this->text, $fromByte, $byte - $fromByte));
        $this->last = [$byte, $character];

        return $character;
    }
}
