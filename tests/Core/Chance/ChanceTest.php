<?php

declare(strict_types=1);

namespace Tests\Core\Chance;

use PHPUnit\Framework\TestCase;
use Random\Engine\PcgOneseq128XslRr64;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chance\Shuffled;
use SilverParrot\Chance\Weighted;

final class ChanceTest extends TestCase
{
    /**
     * The generator's first outputs as NumPy 1.24.2 has them (PCG64 with the usual increment, seeded with the sixteen
     * bytes 1 to 16): state = ((increment + seed) * multiplier + increment) mod 2^128, then random_raw(5).
     */
    public function test_the_generator_gives_the_outputs_of_another_library(): void
    {
        $engine = new PcgOneseq128XslRr64(implode('', array_map(chr(...), range(1, 16))));
        $others = [
            '1808286655971431110',
            '8748158982351409774',
            '2637217965728201828',
            '7220176675244826183',
            '17685796060069328199',
        ];
        foreach ($others as $output) {
            self::assertSame($output, sprintf('%u', unpack('P', $engine->generate())[1]));
        }
    }

    public function test_the_same_place_event_and_seed_draw_the_same_and_any_other_differs(): void
    {
        $number = static fn (string $seed, string $event, string $place): int => (new KeyedChance($seed, $event))
            ->at($place)
            ->getInt(0, PHP_INT_MAX - 1);
        $one = $number('a', 'b', 'c');
        self::assertSame($one, $number('a', 'b', 'c'));
        self::assertCount(
            5,
            array_unique([
                $one,
                $number('a', 'b', 'd'),
                $number('a', 'bc', ''),
                $number('ab', '', 'c'),
                $number('', 'ab', 'c'),
            ]),
        );
    }

    /** χ², 5 degrees of freedom, .999 quantile: 20.515005652432876 (R 4.2.2, qchisq(0.999, 5)). */
    public function test_a_die_is_fair(): void
    {
        $counts = array_fill(1, 6, 0);
        for ($event = 0; $event < 6000; $event++) {
            $counts[(new KeyedChance('marigold', "line $event"))->at('!luck/0@0')->getInt(1, 6)]++;
        }
        $distance = array_sum(array_map(static fn (int $count): float => ($count - 1000) ** 2 / 1000, $counts));
        self::assertLessThan(20.515005652432876, $distance);
    }

    /**
     * Two of four drawn by weights 1, 2, 3, 4 without putting back: how often each is among them, exact by enumeration:
     * 0.2345238, 0.4412698, 0.6083333, 0.7158730.
     */
    public function test_weighted_orders_have_the_exact_shares(): void
    {
        $in = [0, 0, 0, 0];
        $rounds = 20_000;
        for ($i = 0; $i < $rounds; $i++) {
            $places = Shuffled::places([1, 2, 3, 4], "round $i");
            asort($places);
            foreach (array_slice(array_keys($places), 0, 2) as $place) {
                $in[$place]++;
            }
        }
        foreach ([0.2345238, 0.4412698, 0.6083333, 0.7158730] as $place => $share) {
            // Four standard deviations of a share of 20,000 draws.
            self::assertEqualsWithDelta($share, $in[$place] / $rounds, 4 * sqrt($share * (1 - $share) / $rounds));
        }
    }

    public function test_a_weight_of_nothing_is_drawn_only_when_all_are(): void
    {
        $luck = new Randomizer(new Xoshiro256StarStar(pack('P4', 1, 1, 1, 1)));
        for ($i = 0; $i < 200; $i++) {
            self::assertSame(1, Weighted::place([0, 3, -2], $luck));
            self::assertContains(Weighted::place([7 => 0, 9 => 0], $luck), [7, 9]);
        }
    }
}
