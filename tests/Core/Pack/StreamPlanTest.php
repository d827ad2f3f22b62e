<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use PHPUnit\Framework\TestCase;
use SilverParrot\Pack\PlannedStream;
use SilverParrot\Pack\StreamPlan;
use SilverParrot\Value\Moment;

final class StreamPlanTest extends TestCase
{
    public function test_the_next_stream_is_found_over_days_off_extras_and_clock_changes(): void
    {
        $plan = new StreamPlan(
            [
                new PlannedStream('tue', '19:30'),
                new PlannedStream('sun', '02:30'),
                new PlannedStream('2026-12-24', '10:00'),
            ],
            ['2026-12-22', '2026-12-27'],
        );
        $next = static fn (string $now, string $zone = 'Europe/Warsaw'): ?string => $plan
            ->next(Moment::fromIso($now, new \DateTimeZone($zone)) ?? new Moment(0), new \DateTimeZone($zone))
            ?->iso();
        self::assertSame('2026-12-15T18:30:00Z', $next('2026-12-14 12:00'));
        self::assertSame('2026-12-20T01:30:00Z', $next('2026-12-15 19:30'), 'what begins now has begun');
        self::assertSame('2026-12-24T09:00:00Z', $next('2026-12-20 03:00'), 'over a day off, to an extra');
        self::assertSame('2026-12-29T18:30:00Z', $next('2026-12-24 10:00'), 'over a day off');
        // Clock changes of 2026 in Warsaw (tz database): 29 March 02:00 to 03:00, 25 October 03:00 to 02:00.
        self::assertSame('2026-03-29T01:30:00Z', $next('2026-03-28 12:00'), '02:30 is not there: RFC 5545, 3.3.5');
        self::assertSame('2026-10-25T00:30:00Z', $next('2026-10-24 12:00'), '02:30 comes twice: the first');
        self::assertSame('2026-10-27T18:30:00Z', $next('2026-10-25 12:00'));
        self::assertNull((new StreamPlan)->next(new Moment(0), new \DateTimeZone('UTC')));
        self::assertNull(
            (new StreamPlan([new PlannedStream('2020-01-01', '10:00')]))->next(
                Moment::fromIso('2026-01-01') ?? new Moment(0),
                new \DateTimeZone('UTC'),
            ),
            'what is past does not come again',
        );
    }
}
