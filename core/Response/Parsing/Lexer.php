<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Source;

/** Cuts the inside of one slot into tokens. Each character is looked at once. */
final class Lexer
{
    private const SIGNS = '|(),=<>+-*/%';

    private const SPACE = " \t\r\n";

    /** @var list<Finding> */
    public array $findings = [];

    public function __construct(private readonly Source $source)
    {
    }

    /**
     * @param  int  $at  the byte after the opening bracket
     * @return array{list<Token>, int, bool} the tokens with an End behind them, the byte after the slot, whether it was
     *     closed
     */
    public function slot(int $at): array
    {
        $text = $this->source->text;
        $length = strlen($text);
        $tokens = [];
        while (true) {
            $at += strspn($text, self::SPACE, $at);
            if ($at >= $length || $text[$at] === ']' || $text[$at] === '[') {
                $closed = $at < $length && $text[$at] === ']';
                $tokens[] = new Token(TokenKind::End, '', $at, $at);

                return [$tokens, $closed ? $at + 1 : $at, $closed];
            }
            $tokens[] = $token = $this->token($text, $at);
            $at = $token->to;
        }
    }

    private function token(string $text, int $at): Token
    {
        $byte = $text[$at];
        if (ctype_digit($byte)) {
            $digits = strspn($text, '0123456789', $at);
            if (($text[$at + $digits] ?? '') === '.' && ctype_digit($text[$at + $digits + 1] ?? '')) {
                $digits += 1 + strspn($text, '0123456789', $at + $digits + 1);
            }

            return new Token(TokenKind::Number, substr($text, $at, $digits), $at, $at + $digits);
        }
        $name = $this->nameLength($text, $at, false);
        if ($name > 0) {
            return $this->path($text, $at, $name);
        }
        if ($byte === '"') {
            return $this->quoted($text, $at, 1, ['"']);
        }
        $three = substr($text, $at, 3);
        if (in_array($three, ['“', '”', '„'], true)) {
            return $this->quoted($text, $at, 3, ['“', '”']);
        }
        if (str_contains(self::SIGNS, $byte)) {
            $two = substr($text, $at, 2);
            $sign = in_array($two, ['<=', '>='], true) ? $two : $byte;

            return new Token(TokenKind::Sign, $sign, $at, $at + strlen($sign));
        }
        // One whole character, however many bytes it has.
        $character = mb_substr(substr($text, $at, 4), 0, 1);

        return new Token(TokenKind::Stray, $character, $at, $at + strlen($character));
    }

    private function path(string $text, int $at, int $length): Token
    {
        $end = $at + $length;
        while (($text[$end] ?? '') === '.' && ($more = $this->nameLength($text, $end + 1, true)) > 0) {
            $end += 1 + $more;
        }

        return new Token(TokenKind::Path, substr($text, $at, $end - $at), $at, $end);
    }

    /** @return int bytes of a name that begins here, 0 where none does */
    private function nameLength(string $text, int $at, bool $afterDot): int
    {
        $first = $text[$at] ?? '';
        if ($first === '' || (! $afterDot && ctype_digit($first))) {
            return 0;
        }
        $length = strspn($text, 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ_0123456789', $at);
        if (ord($text[$at + $length] ?? ' ') < 0x80) {
            return $length;
        }
        $pattern = $afterDot ? '/\G[\p{L}\p{N}_][\p{L}\p{M}\p{N}_]*+/u' : '/\G[\p{L}_][\p{L}\p{M}\p{N}_]*+/u';

        return preg_match($pattern, $text, $found, 0, $at) === 1 ? strlen($found[0]) : $length;
    }

    /** @param  list<string>  $closers */
    private function quoted(string $text, int $at, int $opener, array $closers): Token
    {
        $end = $at + $opener;
        $inside = '';
        $length = strlen($text);
        while ($end < $length && $text[$end] !== "\n" && $text[$end] !== "\r") {
            // Up to the next byte with which a mark or a line's end can begin, all is text.
            $plain = strcspn($text, "\"\xE2\n\r", $end);
            if ($plain > 0) {
                $inside .= substr($text, $end, $plain);
                $end += $plain;

                continue;
            }
            foreach ($closers as $closer) {
                if (substr_compare($text, $closer, $end, strlen($closer)) === 0) {
                    $end += strlen($closer);
                    if ($closer === '"' && ($text[$end] ?? '') === '"') {
                        $inside .= '"';
                        $end++;

                        continue 2;
                    }

                    return new Token(TokenKind::Quoted, $inside, $at, $end);
                }
            }
            $inside .= $text[$end];
            $end++;
        }
        // Not closed: the slot's own end is a better place to go on from than the end of the line.
        $bracket = strpos($text, ']', $at);
        $end = $bracket === false || $bracket > $end ? $end : $bracket;
        $this->findings[] = new Finding(SyntaxErrorCode::QuoteNotClosed, $this->source->span($at, $end));

        return new Token(TokenKind::Quoted, substr($text, $at + $opener, max(0, $end - $at - $opener)), $at, $end);
    }
}
