<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

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

    /** @param  array<string, string>  $arguments of a look-up */
    private function __construct(
        public string $subject,
        public string $name,
        public string $of,
        public array $arguments,
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

    /** How many quotes have these words in them; all, where there are none. */
    public static function quotes(string $words): self
    {
        return new self('quote', 'count', $words, []);
    }

    /** @param  int  $place  among the quotes with these words, counted from 1 */
    public static function quoteAt(int $place, string $words): self
    {
        return new self('quote', "at $place", $words, []);
    }

    public static function quote(int $number): self
    {
        return new self('quote', "number $number", '', []);
    }

    /** @param  string  $field  the id of the one of which somebody has the most; best first */
    public static function top(string $field, int $count): self
    {
        return new self('top', Fold::caseless($field), (string) $count, []);
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
