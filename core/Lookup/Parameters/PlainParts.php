<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Parameters;

/** Letters, digits and fixed signs, one behind the other: two letters, a dash, one to four digits. */
final readonly class PlainParts implements ParameterRule
{
    /** Parts of one. */
    public const MOST = 20;

    /** Signs of one part. */
    public const LONGEST = 100;

    private const SIGNS = ['letters' => '\p{L}\p{M}', 'digits' => '0-9', 'letters_or_digits' => '\p{L}\p{M}\p{N}_'];

    /** @param  list<array{kind: string, least: int, most: int}|array{kind: 'text', text: string}>  $parts */
    public function __construct(public array $parts)
    {
    }

    public static function key(): string
    {
        return 'parts';
    }

    /** @return list<string> kinds of parts besides fixed texts */
    public static function kinds(): array
    {
        return array_keys(self::SIGNS);
    }

    public function admitted(string $typed): ?string
    {
        $pattern = '';
        foreach ($this->parts as $part) {
            $pattern .= isset($part['text'])
                ? preg_quote($part['text'], '/')
                : '['.(self::SIGNS[$part['kind']] ?? '').']{'.$part['least'].','.$part['most'].'}';
        }

        return preg_match("/^$pattern$/uD", $typed) === 1 ? $typed : null;
    }

    public function write(): array
    {
        return array_map(
            static fn (array $part): array => isset($part['text'])
                ? ['text' => $part['text']]
                : [$part['kind'] => [$part['least'], $part['most']]],
            $this->parts,
        );
    }
}
