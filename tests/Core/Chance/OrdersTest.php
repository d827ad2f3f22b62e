<?php

declare(strict_types=1);

namespace Tests\Core\Chance;

use PHPUnit\Framework\TestCase;
use SilverParrot\Pack\QuoteOrder;

final class OrdersTest extends TestCase
{
    public function test_each_round_of_quotes_is_a_permutation_and_none_comes_twice_running(): void
    {
        foreach ([2, 3, 17, 200] as $count) {
            [$kept, $before] = [[], 0];
            for ($round = 0; $round < 5; $round++) {
                $came = [];
                for ($draw = 0; $draw < $count; $draw++) {
                    $kept = QuoteOrder::next(range(1, $count), $kept, static fn (): string => "luck $round $count ");
                    $came[] = $kept['last'];
                    self::assertNotSame($before, $before = $kept['last']);
                }
                sort($came);
                self::assertSame(range(1, $count), $came);
            }
        }
    }

    public function test_what_is_kept_or_deleted_meanwhile_leaves_the_others_where_they_are(): void
    {
        $luck = static fn (): string => 'luck';
        $kept = QuoteOrder::next(range(1, 9), [], $luck);
        $others = range(1, 9);
        $came = [$kept['last']];
        while (count($came) < 8) {
            // One of those that are still to come is deleted, and a new one kept.
            $left = array_values(array_diff($others, $came));
            $others = count($came) === 4 ? [...array_diff($others, [$left[0]]), 10] : $others;
            $kept = QuoteOrder::next(array_values($others), $kept, $luck);
            self::assertNotContains($kept['last'], $came);
            $came[] = $kept['last'];
        }
        self::assertSame(1, QuoteOrder::next([1], ['round' => 'x', 'at' => '9e9', 'last' => 1], $luck)['last']);
    }
}
