<?php

declare(strict_types=1);

namespace Tests\Core\Value;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;

final class NumberTest extends TestCase
{
    use TestTrait;

    /** The oracle is whole-number arithmetic on thousandths, which needs no library. */
    public function test_sums_and_products_of_decimals_are_exact(): void
    {
        $this->forAll(Generators::choose(-999_999_999, 999_999_999), Generators::choose(-999_999, 999_999))->then(
            function (int $a, int $b): void {
                $left = Number::typed(self::thousandths($a));
                $right = Number::typed(self::thousandths($b));
                self::assertNotNull($left);
                self::assertNotNull($right);
                self::assertSame(
                    self::shortest($a + $b, 3),
                    Number::digits(self::number(Numbers::combine(Operation::Plus, $left, $right))),
                );
                self::assertSame(
                    self::shortest($a - $b, 3),
                    Number::digits(self::number(Numbers::combine(Operation::Minus, $left, $right))),
                );
                self::assertSame(
                    self::shortest($a * $b, 6),
                    Number::digits(self::number(Numbers::combine(Operation::Times, $left, $right))),
                );
                if ($b !== 0) {
                    $quotient = Numbers::combine(Operation::Divided, $left, $right);
                    $rest = self::number(Numbers::combine(Operation::Modulo, $left, $right));
                    self::assertSame(
                        self::shortest($a, 3),
                        Number::digits(self::number(Numbers::combine(Operation::Times, $quotient, $right))),
                        'what is divided and multiplied again is what it was',
                    );
                    self::assertTrue(
                        Number::compare($rest, 0) === 0 || Number::compare($rest, 0) === ($b <=> 0),
                        'the rest has the divisor’s sign',
                    );
                }
            },
        );
    }

    /** PHP's bcmath, by the table that decimals-table.php makes. */
    public function test_decimals_are_added_taken_multiplied_and_divided_as_another_library_does(): void
    {
        $table = json_decode((string) file_get_contents(__DIR__.'/decimals-table.json'), true);
        self::assertIsArray($table);
        self::assertGreaterThan(3_900, count($table['rows']));
        foreach ($table['rows'] as [$a, $operation, $b, $printed]) {
            [$left, $right] = [Number::typed($a), Number::typed($b)];
            self::assertNotNull($left);
            self::assertNotNull($right);
            self::assertSame(
                $printed,
                Number::digits(self::number(Numbers::combine(Operation::from($operation), $left, $right))),
                "$a $operation $b",
            );
        }
    }

    public function test_what_a_person_typed_is_a_number_or_it_is_none(): void
    {
        foreach (
            [
                '5' => '5',
                '05' => '5',
                ' -7 ' => '-7',
                '+3.50' => '3.5',
                '２' => '2',
                '٤٢' => '42',
                '−4' => '-4',
                '0.000001' => '0.000001',
                '999999999999999' => '999999999999999',
            ] as $typed => $digits
        ) {
            $number = Number::typed((string) $typed);
            self::assertNotNull($number, (string) $typed);
            self::assertSame((string) $digits, Number::digits($number));
        }
        foreach (
            [
                '',
                ' ',
                '1e9',
                '1,000',
                '0x1A',
                '1.',
                '.5',
                '1.1234567',
                '1234567890123456',
                '--5',
                '5 5',
                'five',
                '½',
                "1\u{200B}2",
                '٤.',
            ] as $typed
        ) {
            self::assertNull(Number::typed($typed), $typed);
        }
    }

    public function test_whole_numbers_beyond_an_int_stay_exact(): void
    {
        $large = self::number(Numbers::combine(Operation::Plus, PHP_INT_MAX, 1));
        self::assertSame('9223372036854775808', Number::digits($large));
        self::assertSame(PHP_INT_MAX, Numbers::combine(Operation::Minus, $large, 1));
        self::assertSame(
            '9223372036854775808',
            Number::digits(self::number(Numbers::combine(Operation::Divided, PHP_INT_MIN, -1))),
        );
    }

    public function test_moments_are_read_written_and_refused(): void
    {
        self::assertSame('2026-11-25T09:00:00Z', Moment::fromIso('2026-11-25T10:00:00+01:00')?->iso());
        self::assertSame('2026-11-25T09:00:00.250Z', Moment::fromIso('2026-11-25T09:00:00.25Z')?->iso());
        self::assertSame(
            '2026-06-30T23:00:00Z',
            Moment::fromIso('2026-07-01', new \DateTimeZone('Europe/London'))?->iso(),
        );
        self::assertSame('1969-12-31T23:59:59.500Z', (new Moment(-500))->iso());
        foreach (
            ['2026-13-01', '2026-02-30', '2026-11-25T25:00', 'tomorrow', '', '2026-11-25T09:00:00 please'] as $text
        ) {
            self::assertNull(Moment::fromIso($text), $text);
        }
    }

    private static function number(mixed $value): int|Number
    {
        self::assertTrue(is_int($value) || $value instanceof Number);

        return $value;
    }

    private static function thousandths(int $number): string
    {
        return ($number < 0 ? '-' : '').intdiv(abs($number), 1000).'.'.sprintf('%03d', abs($number) % 1000);
    }

    private static function shortest(int $number, int $decimals): string
    {
        $text =
            ($number < 0 ? '-' : '')
            .intdiv(abs($number), 10 ** $decimals)
            .'.'
            .sprintf("%0{$decimals}d", abs($number) % 10 ** $decimals);

        return rtrim(rtrim($text, '0'), '.');
    }
}
