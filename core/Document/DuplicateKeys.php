<?php

declare(strict_types=1);

namespace SilverParrot\Document;

/**
 * Finds keys that an object of a JSON text has twice (RFC 8259, 4): a reader keeps one of the two, and nobody knows
 * which.
 */
final class DuplicateKeys
{
    private const MOST = 20;

    /** @var list<array{string, string}> */
    private array $twice = [];

    /** @var list<string> */
    private array $tokens;

    private int $at = 0;

    private function __construct(string $text)
    {
        $this->tokens = self::tokens($text);
    }

    /** @return list<string> strings, and the signs that make objects and lists; nothing else holds either */
    private static function tokens(string $text): array
    {
        $tokens = [];
        for ($at = strcspn($text, '"{}[],'); $at < strlen($text); $at += strcspn($text, '"{}[],', $at)) {
            $end = $at + 1;
            if ($text[$at] === '"') {
                $end += strcspn($text, '"\\', $end);
                while (($text[$end] ?? '') === '\\') {
                    $end += 2;
                    $end += strcspn($text, '"\\', $end);
                }
                $end++;
            }
            $tokens[] = substr($text, $at, $end - $at);
            $at = $end;
        }

        return $tokens;
    }

    /**
     * @param  string  $text  JSON that can be read, so its depth is bounded
     * @return list<array{string, string}> JSON Pointer of the object's entry, and the key
     */
    public static function in(string $text): array
    {
        $self = new self($text);
        $self->value('');

        return array_slice($self->twice, 0, self::MOST);
    }

    private function value(string $pointer): void
    {
        match ($this->tokens[$this->at] ?? '') {
            '{' => $this->object($pointer),
            '[' => $this->list($pointer),
            // A number or a word has no token of its own.
            ',', '}', ']', '' => null,
            default => $this->at++,
        };
    }

    private function object(string $pointer): void
    {
        $keys = [];
        do {
            $this->at++;
            $token = $this->tokens[$this->at] ?? '';
            if (str_starts_with($token, '"')) {
                $key = json_decode($token);
                $key = is_string($key) ? $key : '';
                $place = $pointer.'/'.strtr($key, ['~' => '~0', '/' => '~1']);
                if (isset($keys[" $key"])) {
                    $this->twice[] = [$place, $key];
                }
                $keys[" $key"] = true;
                $this->at++;
                $this->value($place);
            }
        } while (($this->tokens[$this->at] ?? '') === ',');
        $this->at++;
    }

    private function list(string $pointer): void
    {
        $index = 0;
        do {
            $this->at++;
            $this->value("$pointer/$index");
            $index++;
        } while (($this->tokens[$this->at] ?? '') === ',');
        $this->at++;
    }
}
