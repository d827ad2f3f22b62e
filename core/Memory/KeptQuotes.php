<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** How quotes are kept, changed and deleted: each is a change of memory, with a number that is never used twice. */
final class KeptQuotes
{
    /** Before a quote is kept. */
    public static function reads(): Reads
    {
        return Reads::of(Key::lastQuote());
    }

    public static function nextNumber(View $memory): int
    {
        $last = $memory->value(Key::lastQuote());

        return (is_int($last) ? $last : 0) + 1;
    }

    /**
     * @param  Quote  $quote  whose number is the next, or one above it, as an import has it
     * @return list<Change>
     */
    public static function keep(Quote $quote, View $memory): array
    {
        $last = $memory->value(Key::lastQuote());

        return [
            self::change($quote->number, null, $quote->record()),
            ...is_int($last) && $last >= $quote->number
                ? []
                : [new Change(Key::lastQuote(), $last, $quote->number, 'quote', 'channel')],
        ];
    }

    /** @param  Quote|null  $to  null to delete it; its number is not given again */
    public static function become(int $number, ?Quote $to, View $memory): Change
    {
        return self::change($number, $memory->value(Key::quote($number)), $to?->record());
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $from
     * @param  array<string, string>|null  $to
     */
    private static function change(int $number, null|bool|int|string|array $from, ?array $to): Change
    {
        return new Change(Key::quote($number), $from, $to, "quote $number", 'channel');
    }
}
