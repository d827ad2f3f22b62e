<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Channel;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\TimeSpan;

/**
 * How values are said in 28 languages and six of their regions, against Node's Intl: intl-table.json, made by `node
 * intl-table.cjs`, with the versions of its ICU and CLDR in it. PHP's ICU is 72 here, Node's is later.
 */
final class PrinterTest extends TestCase
{
    /** Where CLDR itself changed between the two, or the two ask it for different things. */
    private const DIFFERENCES = [
        'it grouped 1234' => 'a later CLDR groups from five digits on',
        'it grouped 1234.5' => 'the same',
        'hu grouped 1234' => 'the same',
        'hu grouped 1234.5' => 'the same',
        'en-GB short 12345' => 'a later CLDR writes a small k',
        'it short 12345' => 'ICU 72 has no short form for thousands in Italian yet',
    ];

    /** Languages whose patterns CLDR wrote anew between the two, with how many of the rows differ. */
    private const REWRITTEN = ['he' => 20, 'de-CH' => 5];

    /** `new Intl.NumberFormat(language, {maximumFractionDigits: 6}).format("…")` of Node 20.20.2, ICU 78.2. */
    private const LONG = [
        ['en', '1234567890123456789', '1,234,567,890,123,456,789'],
        ['en', '-1234567890123456789012345678.5', '-1,234,567,890,123,456,789,012,345,678.5'],
        ['en', '123456789012345678901234567890', '123,456,789,012,345,678,901,234,567,890'],
        ['en', '1000000000000000000000', '1,000,000,000,000,000,000,000'],
        ['en', '12345.678', '12,345.678'],
        ['en', '-0.5', '-0.5'],
        ['de', '1234567890123456789', '1.234.567.890.123.456.789'],
        ['de', '-1234567890123456789012345678.5', '-1.234.567.890.123.456.789.012.345.678,5'],
        ['de', '123456789012345678901234567890', '123.456.789.012.345.678.901.234.567.890'],
        ['de', '1000000000000000000000', '1.000.000.000.000.000.000.000'],
        ['de', '12345.678', '12.345,678'],
        ['de', '-0.5', '-0,5'],
        ['hi', '1234567890123456789', '12,34,56,78,90,12,34,56,789'],
        ['hi', '-1234567890123456789012345678.5', '-1,23,45,67,89,01,23,45,67,89,01,23,45,678.5'],
        ['hi', '123456789012345678901234567890', '1,23,45,67,89,01,23,45,67,89,01,23,45,67,890'],
        ['hi', '1000000000000000000000', '1,00,00,00,00,00,00,00,00,00,000'],
        ['hi', '12345.678', '12,345.678'],
        ['hi', '-0.5', '-0.5'],
        ['ar-EG', '1234567890123456789', '١٬٢٣٤٬٥٦٧٬٨٩٠٬١٢٣٬٤٥٦٬٧٨٩'],
        ['ar-EG', '-1234567890123456789012345678.5', '؜-١٬٢٣٤٬٥٦٧٬٨٩٠٬١٢٣٬٤٥٦٬٧٨٩٬٠١٢٬٣٤٥٬٦٧٨٫٥'],
        ['ar-EG', '123456789012345678901234567890', '١٢٣٬٤٥٦٬٧٨٩٬٠١٢٬٣٤٥٬٦٧٨٬٩٠١٬٢٣٤٬٥٦٧٬٨٩٠'],
        ['ar-EG', '1000000000000000000000', '١٬٠٠٠٬٠٠٠٬٠٠٠٬٠٠٠٬٠٠٠٬٠٠٠٬٠٠٠'],
        ['ar-EG', '12345.678', '١٢٬٣٤٥٫٦٧٨'],
        ['ar-EG', '-0.5', '؜-٠٫٥'],
        ['fa', '1234567890123456789', '۱٬۲۳۴٬۵۶۷٬۸۹۰٬۱۲۳٬۴۵۶٬۷۸۹'],
        ['fa', '-1234567890123456789012345678.5', '‎−۱٬۲۳۴٬۵۶۷٬۸۹۰٬۱۲۳٬۴۵۶٬۷۸۹٬۰۱۲٬۳۴۵٬۶۷۸٫۵'],
        ['fa', '123456789012345678901234567890', '۱۲۳٬۴۵۶٬۷۸۹٬۰۱۲٬۳۴۵٬۶۷۸٬۹۰۱٬۲۳۴٬۵۶۷٬۸۹۰'],
        ['fa', '1000000000000000000000', '۱٬۰۰۰٬۰۰۰٬۰۰۰٬۰۰۰٬۰۰۰٬۰۰۰٬۰۰۰'],
        ['fa', '12345.678', '۱۲٬۳۴۵٫۶۷۸'],
        ['fa', '-0.5', '‎−۰٫۵'],
        ['bn', '1234567890123456789', '১২,৩৪,৫৬,৭৮,৯০,১২,৩৪,৫৬,৭৮৯'],
        ['bn', '-1234567890123456789012345678.5', '-১,২৩,৪৫,৬৭,৮৯,০১,২৩,৪৫,৬৭,৮৯,০১,২৩,৪৫,৬৭৮.৫'],
        ['bn', '123456789012345678901234567890', '১,২৩,৪৫,৬৭,৮৯,০১,২৩,৪৫,৬৭,৮৯,০১,২৩,৪৫,৬৭,৮৯০'],
        ['bn', '1000000000000000000000', '১,০০,০০,০০,০০,০০,০০,০০,০০,০০,০০০'],
        ['bn', '12345.678', '১২,৩৪৫.৬৭৮'],
        ['bn', '-0.5', '-০.৫'],
        ['pl', '1234567890123456789', '1 234 567 890 123 456 789'],
        ['pl', '-1234567890123456789012345678.5', '-1 234 567 890 123 456 789 012 345 678,5'],
        ['pl', '123456789012345678901234567890', '123 456 789 012 345 678 901 234 567 890'],
        ['pl', '1000000000000000000000', '1 000 000 000 000 000 000 000'],
        ['pl', '12345.678', '12 345,678'],
        ['pl', '-0.5', '-0,5'],
        ['en-IN', '1234567890123456789', '12,34,56,78,90,12,34,56,789'],
        ['en-IN', '-1234567890123456789012345678.5', '-1,23,45,67,89,01,23,45,67,89,01,23,45,678.5'],
        ['en-IN', '123456789012345678901234567890', '1,23,45,67,89,01,23,45,67,89,01,23,45,67,890'],
        ['en-IN', '1000000000000000000000', '1,00,00,00,00,00,00,00,00,00,000'],
        ['en-IN', '12345.678', '12,345.678'],
        ['en-IN', '-0.5', '-0.5'],
    ];

    public function test_numbers_plurals_lists_days_and_distances_in_time_are_as_node_says_them(): void
    {
        /** @var array{icu: string, rows: list<array{string, string, string, string}>} $table */
        $table = json_decode((string) file_get_contents(__DIR__.'/intl-table.json'), true);
        self::assertCount(34 * 82, $table['rows']);
        $different = $rewritten = [];
        foreach ($table['rows'] as [$locale, $kind, $input, $text]) {
            $said = self::said(new Printer(Channel::of('cove', 'Cove', $locale)), $kind, $input);
            if (self::plain($said) !== self::plain($text)) {
                isset(self::REWRITTEN[$locale])
                    ? ($rewritten[$locale] = ($rewritten[$locale] ?? 0) + 1)
                    : ($different["$locale $kind $input"] = "$said / $text");
            }
        }
        self::assertSame(self::REWRITTEN, $rewritten);
        self::assertSame([], array_diff_key($different, self::DIFFERENCES));
        self::assertSame([], array_diff_key(self::DIFFERENCES, $different), 'no difference is listed that is none');
    }

    public function test_numbers_of_any_length_are_grouped_in_one_script_as_node_does_it(): void
    {
        foreach (self::LONG as [$language, $digits, $expected]) {
            $number = Number::kept($digits);
            self::assertNotNull($number);
            self::assertSame(
                $expected,
                self::plain((new Printer(Channel::of('cove', 'Cove', $language)))->grouped($number)),
                "$language $digits",
            );
        }
    }

    /** In the proleptic Gregorian calendar (ISO 8601-1:2019, 4.2.1), as PHP’s own dates have it. */
    public function test_days_before_1582_are_of_the_same_calendar_as_later_ones(): void
    {
        $printer = new Printer(Channel::of('cove', 'Cove', 'en'));
        foreach (
            ['1582-10-04', '1582-10-10', '1500-03-01', '1000-02-28', '0033-04-05', '0001-01-01', '9999-12-31'] as $day
        ) {
            $moment = Moment::fromIso("{$day}T12:00:00Z");
            self::assertNotNull($moment);
            self::assertSame((new \DateTimeImmutable($day))->format('j n Y'), $printer->date($moment, 'd M yyyy'));
        }
    }

    public function test_regions_say_spans_in_their_language(): void
    {
        $span = TimeSpan::between(new Moment(0), new Moment(9 * 86_400_000 + 3_600_000));
        self::assertNotNull($span);
        foreach (
            [
                'en' => '9 days 1 hour',
                'en-GB' => '9 days 1 hour',
                'fr-CA' => '9 jours 1 heure',
                'es-MX' => '9 días 1 hora',
                'de-CH' => '9 Tage 1 Stunde',
                'pt-PT' => '9 dias 1 hora',
                'zh-Hant-HK' => '9 日 1 小時',
            ] as $language => $expected
        ) {
            self::assertSame(
                $expected,
                self::plain((new Printer(Channel::of('cove', 'Cove', $language)))->print($span)),
                $language,
            );
        }
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
