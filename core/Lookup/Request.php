<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/**
 * Something that no key leads to: a detail of the channel or of a person, a reading of a look-up, what has to be
 * searched for in memory.
 */
final readonly class Request
{
    /** Equal for equal requests; "channel.title" and "lookup.tide.high" where there are no arguments. */
    public string $id;

    /**
     * @param  array<string, string>  $arguments  of a look-up, or of a search
     * @param  QuoteSearch|null  $search  where quotes are searched for
     */
    private function __construct(
        public string $subject,
        public string $name,
        public string $of,
        public array $arguments,
        public ?QuoteSearch $search = null,
    ) {
        $id = $of === '' ? "$subject.$name" : "$subject.$name.$of";
        foreach ($arguments as $argument => $value) {
            // Written as in an address, so that no value can pretend to be another argument.
            $id .= "\x1F".$argument.'='.rawurlencode($value);
        }
        $this->id = $id;
    }

    /** @param  string  $detail "title", "category", … */
    public static function channel(string $detail): self
    {
        return new self('channel', $detail, '', []);
    }

    /** @param  string  $detail "followed", "account_made", "category" */
    public static function person(string $detail, string $login): self
    {
        return new self('person', $detail, Fold::caseless($login), []);
    }

    /** @param  array<string, string>  $arguments */
    public static function lookup(string $name, string $reading, array $arguments): self
    {
        ksort($arguments);

        return new self('lookup', Fold::caseless($name), Fold::caseless($reading), $arguments);
    }

    /** How many quotes are found. */
    public static function quotes(QuoteSearch $search): self
    {
        return new self('quote', 'count', self::words($search), self::by($search), $search);
    }

    /** @param  int  $place  among the quotes that are found, counted from 1 */
    public static function quoteAt(int $place, QuoteSearch $search): self
    {
        return new self('quote', "at $place", self::words($search), self::by($search), $search);
    }

    public static function newestQuote(): self
    {
        return new self('quote', 'newest', '', []);
    }

    /** The numbers of all quotes, lowest first. */
    public static function quoteNumbers(): self
    {
        return new self('quote', 'numbers', '', []);
    }

    public static function quote(int $number): self
    {
        return new self('quote', "number $number", '', []);
    }

    /**
     * @param  string  $field  the id of the one of which somebody has the most; best first
     * @param  list<string>  $without  folded logins
     */
    public static function top(string $field, int $count, array $without = []): self
    {
        return new self(
            'top',
            Fold::caseless($field),
            (string) $count,
            $without === [] ? [] : ['without' => implode("\n", $without)],
        );
    }

    private static function words(QuoteSearch $search): string
    {
        return implode(' ', $search->words);
    }

    /** @return array<string, string> */
    private static function by(QuoteSearch $search): array
    {
        return $search->by === [] ? [] : ['by' => implode("\n", $search->by)];
    }

    public function couldNotBeHad(): Gap
    {
        return match ($this->subject) {
            'lookup' => new Gap(GapReason::LookupDown, ['name' => $this->name]),
            'quote' => new Gap(GapReason::NotSearched, ['name' => 'quote']),
            'top' => new Gap(GapReason::NotSearched, ['name' => 'top']),
            default => new Gap(GapReason::DetailsDown, [
                'name' => strtr($this->name, '_', ' '),
                'of' => $this->of === '' ? 'the channel' : $this->of,
            ]),
        };
    }
}
