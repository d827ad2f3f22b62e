<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Channel;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;

/**
 * How values are said in 28 languages, against Node's Intl: intl-table.json, made by `node intl-table.cjs`, with the
 * versions of its ICU and CLDR in it. PHP's ICU is 72 here, Node's is later.
 */
final class PrinterTest extends TestCase
{
    /** Where CLDR itself changed between the two, or the two ask it for different things. */
    private const DIFFERENCES = [
        'it grouped 1234' => 'a later CLDR groups from five digits on',
        'it grouped 1234.5' => 'the same',
        'hu grouped 1234' => 'the same',
        'hu grouped 1234.5' => 'the same',
        'it short 12345' => 'ICU 72 has no short form for thousands in Italian yet',
    ];

    /** Languages whose patterns CLDR wrote anew between the two, with how many of the rows differ. */
    private const REWRITTEN = ['he' => 20];

    public function test_numbers_plurals_lists_days_and_distances_in_time_are_as_node_says_them(): void
    {
        /** @var array{icu: string, rows: list<array{string, string, string, string}>} $table */
        $table = json_decode((string) file_get_contents(__DIR__.'/intl-table.json'), true);
        self::assertCount(28 * 82, $table['rows']);
        $different = $rewritten = [];
        foreach ($table['rows'] as [$locale, $kind, $input, $text]) {
            $said = self::said(new Printer(Channel::of('cove', 'Cove', $locale)), $kind, $input);
            if (self::plain($said) !== self::plain($text)) {
                isset(self::REWRITTEN[$locale]) ? $rewritten[$locale] = ($rewritten[$locale] ?? 0) + 1 : $different["$locale $kind $input"] = "$said / $text";
            }
        }
        self::assertSame(self::REWRITTEN, $rewritten);
        self::assertSame([], array_diff_key($different, self::DIFFERENCES));
        self::assertSame([], array_diff_key(self::DIFFERENCES, $different), 'no difference is listed that is none');
    }

    private static function said(Printer $printer, string $kind, string $input): string
    {
        $number = Number::typed(explode(' ', $input)[0]) ?? 0;

        return match ($kind) {
            'grouped' => $printer->grouped($number),
            'plural' => $printer->pluralCategory($number),
            'list' => $printer->print(new ListValue(explode(' ', $input))),
            'ago', 'in' => self::distance($printer, $kind === 'ago' ? -1 : 1, $input),
            'day' => $printer->date(Moment::fromIso("{$input}T09:00:00Z") ?? new Moment(0), ''),
            'short' => $printer->compact($number),
            default => throw new \LogicException($kind),
        };
    }

    private static function distance(Printer $printer, int $sign, string $input): string
    {
        $now = new \DateTimeImmutable('2026-06-15T12:00:00Z');

        return $printer->relative(Moment::of($now->modify(($sign < 0 ? '-' : '+').$input) ?: $now), Moment::of($now));
    }

    /** Spaces of several kinds stand for one another in different versions of CLDR. */
    private static function plain(string $text): string
    {
        return (string) preg_replace('/[\x{00A0}\x{202F}\x{2009}]/u', ' ', $text);
    }
}
