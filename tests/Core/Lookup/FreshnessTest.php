<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Freshness;
use SilverParrot\Lookup\Keep;
use SilverParrot\Value\Moment;

/** For how long answers are good: the rules of RFC 9111, 4.2 and 5.2, worked out by hand. */
final class FreshnessTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>, int|null}> */
    public static function answers(): iterable
    {
        $date = 'Mon, 30 Nov 2026 10:00:00 GMT';
        yield 'nothing is said' => [[], null];
        yield 'max-age' => [['cache-control' => 'max-age=300'], 300];
        yield 'among others, in any case' => [['cache-control' => 'Public, MAX-AGE="60", s-maxage=9'], 60];
        yield 'max-age before Expires' => [
            ['cache-control' => 'max-age=60', 'expires' => 'Mon, 30 Nov 2026 11:00:00 GMT', 'date' => $date],
            60,
        ];
        yield 'Expires less Date' => [['expires' => 'Mon, 30 Nov 2026 10:05:00 GMT', 'date' => $date], 300];
        yield 'Expires in the form of RFC 850' => [
            ['expires' => 'Monday, 30-Nov-26 10:05:00 GMT', 'date' => $date],
            300,
        ];
        yield 'Expires in the form of asctime' => [['expires' => 'Mon Nov 30 10:05:00 2026', 'date' => $date], 300];
        yield 'no date has expired' => [['expires' => '0', 'date' => $date], 0];
        yield 'what it has spent in other caches' => [['cache-control' => 'max-age=300', 'age' => '120'], 180];
        yield 'older than it may get' => [['cache-control' => 'max-age=60', 'age' => '120'], 0];
        yield 'it was under way for ten seconds' => [
            ['cache-control' => 'max-age=60', 'date' => 'Mon, 30 Nov 2026 09:59:50 GMT'],
            50,
        ];
        yield 'no-store' => [['cache-control' => 'no-store, max-age=60'], 0];
        yield 'no-cache' => [['cache-control' => 'no-cache'], 0];
        yield 'no number' => [['cache-control' => 'max-age=soon'], null];
        yield 'more than any' => [['cache-control' => 'max-age=99999999999'], 2_147_483_648];
    }

    /** @param  array<string, string>  $headers */
    #[DataProvider('answers')]
    public function test_an_answer_is_good_for_as_long_as_its_source_says(array $headers, ?int $seconds): void
    {
        $at = Moment::fromIso('2026-11-30T10:00:00Z') ?? new Moment(0);
        self::assertSame($seconds, Freshness::seconds(new Answer(200, $headers, '', $at)));
    }

    public function test_it_is_kept_within_the_limits_that_its_author_sets(): void
    {
        $keep = new Keep(30, 600);
        self::assertSame([30, 30, 300, 600], array_map($keep->seconds(...), [null, 0, 300, 9_999]));
    }
}
