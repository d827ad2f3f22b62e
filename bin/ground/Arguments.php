<?php

declare(strict_types=1);

namespace Ground;

/** The options that were typed after a verb. */
final readonly class Arguments
{
    /**
     * @param  array<string, string|true>  $options
     * @param  list<string>  $rest
     */
    private function __construct(private array $options, public array $rest)
    {
    }

    /**
     * @param  list<string>  $words
     * @param  array<string, string>  $known  as in Verb::OPTIONS
     */
    public static function parse(array $words, array $known): self
    {
        $options = [];
        $rest = [];
        foreach ($words as $word) {
            if (! str_starts_with($word, '--')) {
                $rest[] = $word;

                continue;
            }
            [$name, $value] = explode('=', $word, 2) + [1 => null];
            if ($value === null && isset($known[$name])) {
                $options[$name] = true;
            } elseif ($value !== null && $value !== '' && isset($known["$name="])) {
                $options[$name] = $value;
            } else {
                throw Trouble::unknownOption($word, array_keys($known));
            }
        }
        if ($rest !== [] && ! isset($known['WORD'])) {
            throw Trouble::unknownOption($rest[0], array_keys($known));
        }

        return new self($options, $rest);
    }

    public function has(string $option): bool
    {
        return isset($this->options[$option]);
    }

    public function text(string $option): ?string
    {
        $value = $this->options[$option] ?? null;

        return is_string($value) ? $value : null;
    }

    public function port(string $option): ?int
    {
        $text = $this->text($option);
        if ($text === null) {
            return null;
        }
        if (! ctype_digit($text) || (int) $text < 1024 || (int) $text > 65535) {
            throw Trouble::badPort($option, $text);
        }

        return (int) $text;
    }
}
