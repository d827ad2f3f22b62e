<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Figures\ChiSquare;

final class ChiSquareTest extends TestCase
{
    /** @return list<array{float, int, float}> as R 4.2.2 has them: pchisq(x, df, lower.tail = FALSE) */
    public static function tails(): array
    {
        return [
            [3.84, 1, 0.050043521248705224],
            [0.5, 2, 0.77880078307140488],
            [20.515005652432876, 5, 0.0010000000000000011],
            [7.0, 10, 0.72544495330960468],
            [120.0, 100, 0.084406681093691843],
            [30.0, 3, 1.3800570312932547e-06],
            [0.001, 1, 0.97477287936996038],
            [300.0, 250, 0.016518273157868718],
        ];
    }

    #[DataProvider('tails')]
    public function test_the_upper_tail_is_what_r_says(float $chiSquare, int $freedom, float $tail): void
    {
        self::assertEqualsWithDelta($tail, ChiSquare::tail($chiSquare, $freedom), $tail * 1e-10);
    }

    public function test_nothing_unlikely_where_there_is_nothing_to_compare(): void
    {
        self::assertSame(1.0, ChiSquare::tail(0.0, 3));
        self::assertSame(1.0, ChiSquare::tail(5.0, 0));
        self::assertSame(0.0, ChiSquare::tail(1e6, 2));
    }
}
