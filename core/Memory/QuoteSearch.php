<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Source\Fold;
use SilverParrot\Source\WordIndex;

/** Which quotes are meant: those with all of some words in them, and those of somebody. */
final readonly class QuoteSearch
{
    /** Words that are looked for; what is typed besides is not. */
    public const WORDS = 12;

    /** In no index, since it is no letter: what is all signs finds nothing. */
    private const NEVER = "\u{FFFD}";

    /**
     * @param  list<string>  $words  folded; each begins a word of the quote, or of the name of who said it
     * @param  list<string>  $by  folded names, of which one is who said it; empty for anybody
     */
    private function __construct(public array $words, public array $by)
    {
    }

    public static function all(): self
    {
        return new self([], []);
    }

    public static function words(string $typed): self
    {
        $words = array_slice(WordIndex::of($typed), 0, self::WORDS);

        return new self($words === [] && ! Fold::isBlank($typed) ? [self::NEVER] : $words, []);
    }

    public function by(string ...$names): self
    {
        return new self($this->words, array_values(array_unique(array_map(Fold::caseless(...), $names))));
    }

    public function isForAll(): bool
    {
        return $this->words === [] && $this->by === [];
    }

    public function finds(Quote $quote): bool
    {
        $has = self::wordsOf($quote);
        foreach ($this->words as $word) {
            if (! self::isAmong($word, $has)) {
                return false;
            }
        }

        return $this->by === [] || in_array(Fold::caseless($quote->by), $this->by, true);
    }

    /** @return list<string> by which a quote is found */
    public static function wordsOf(Quote $quote): array
    {
        return WordIndex::of("{$quote->text}\n{$quote->by}");
    }

    /** @param  list<string>  $words */
    private static function isAmong(string $begins, array $words): bool
    {
        foreach ($words as $word) {
            if (str_starts_with($word, $begins)) {
                return true;
            }
        }

        return false;
    }
}
