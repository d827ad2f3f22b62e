<?php

declare(strict_types=1);

namespace Tests\Core\Outbox;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Saying;
use SilverParrot\Outbox\Pace;

final class PaceTest extends TestCase
{
    use TestTrait;

    public function test_the_oldest_that_nobody_asked_for_goes_first_then_the_oldest(): void
    {
        $asked = new Saying('x', answerTo: 'line');
        $unasked = new Saying('x');
        $queued = [1 => $asked, 2 => $unasked, 3 => $asked, 4 => $unasked, 5 => $asked, 6 => $asked];
        $full = Pace::of($queued, [2, 1], 2, 30);
        self::assertSame([[], [2, 4, 1, 3]], [$full->now, $full->dropped]);
        $half = Pace::of($queued, [2], 2, 30);
        self::assertSame([[3], [2, 4, 1]], [$half->now, $half->dropped]);
        $later = Pace::of($queued, [30_001, 30_000], 6, 30);
        self::assertSame([array_keys($queued), []], [$later->now, $later->dropped]);
        $set = Pace::of([1 => $asked], [-1_800_000, -1], 1, 30);
        self::assertSame([1], $set->now, 'a clock that was put back keeps nobody silent');
    }

    public function test_no_window_ever_holds_more_than_the_rate_allows(): void
    {
        $this->forAll(
            Generators::vector(60, Generators::choose(0, 4000)),
            Generators::choose(1, 8),
            Generators::vector(60, Generators::bool()),
        )->then(static function (array $pauses, int $often, array $asked): void {
            $now = 0;
            $said = [];
            $queued = [];
            $gone = [];
            foreach ($pauses as $number => $pause) {
                $now += $pause;
                $queued[$number] = new Saying("$number", answerTo: $asked[$number] ? 'line' : '');
                $pace = Pace::of($queued, array_map(static fn (int $at): int => $now - $at, $said), $often, 30);
                self::assertSame([], array_intersect($pace->now, $pace->dropped));
                foreach ($pace->now as $one) {
                    $said[] = $now;
                    $gone[] = $one;
                    unset($queued[$one]);
                }
                foreach ($pace->dropped as $one) {
                    unset($queued[$one]);
                }
                self::assertLessThanOrEqual(
                    $often,
                    count(array_filter($said, static fn (int $at): bool => $at > $now - 30_000)),
                );
                self::assertLessThanOrEqual(2 * $often, count($queued));
            }
            $sorted = $gone;
            sort($sorted);
            self::assertSame($sorted, $gone, 'in their order');
        });
    }
}
