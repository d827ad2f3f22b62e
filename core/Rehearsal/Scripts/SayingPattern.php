<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

/**
 * What is said, but for what may vary: [any] is any text, also none; [number] a number with its signs; [word] letters
 * up to a space. All else is as it is written. It takes time in the product of both lengths, whatever they are.
 */
final readonly class SayingPattern
{
    private const PARTS = '/\[(any|number|word)\]/';

    /** @param  list<string>  $parts  texts at even places, between them what may vary */
    private function __construct(private array $parts)
    {
    }

    public static function of(string $pattern): self
    {
        return new self(preg_split(self::PARTS, $pattern, -1, PREG_SPLIT_DELIM_CAPTURE) ?: ['']);
    }

    public function matches(string $text): bool
    {
        $letters = mb_str_split($text);
        $length = count($letters);
        // Where what was read so far may end.
        $ends = [0 => true];
        foreach ($this->parts as $place => $part) {
            $ends = match (true) {
                $place % 2 === 0 => self::afterText($ends, mb_str_split($part), $letters),
                $part === 'any' => self::afterAny($ends, $length),
                default => self::afterLetters($ends, $letters, $part === 'number'),
            };
            if ($ends === []) {
                return false;
            }
        }

        return isset($ends[$length]);
    }

    /**
     * @param  array<int, true>  $ends
     * @param  list<string>  $part
     * @param  list<string>  $letters
     * @return array<int, true>
     */
    private static function afterText(array $ends, array $part, array $letters): array
    {
        $after = [];
        foreach (array_keys($ends) as $from) {
            if (array_slice($letters, $from, count($part)) === $part) {
                $after[$from + count($part)] = true;
            }
        }

        return $after;
    }

    /**
     * @param  non-empty-array<int, true>  $ends
     * @return array<int, true>
     */
    private static function afterAny(array $ends, int $length): array
    {
        return array_fill_keys(range(min(array_keys($ends)), $length), true);
    }

    /**
     * @param  array<int, true>  $ends
     * @param  list<string>  $letters
     * @return array<int, true> behind one or more letters of the kind
     */
    private static function afterLetters(array $ends, array $letters, bool $isNumber): array
    {
        $after = [];
        $isOpen = $hasDigit = false;
        foreach ($letters as $at => $letter) {
            if (isset($ends[$at])) {
                $isOpen = true;
            }
            $isDigit = preg_match('/^\p{N}$/Du', $letter) === 1;
            $fits = $isNumber
                ? $isDigit || preg_match('/^[-+−.,\x{202F}\x{A0}\']$/Du', $letter) === 1
                : preg_match('/^[\s\p{Z}]$/Du', $letter) !== 1;
            $isOpen = $isOpen && $fits;
            $hasDigit = $isOpen && ($hasDigit || $isDigit);
            if ($isOpen && (! $isNumber || $hasDigit)) {
                $after[$at + 1] = true;
            }
        }

        return $after;
    }
}
