<?php

declare(strict_types=1);

namespace Tests\Core\Value;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Value\LengthOfTime;
use SilverParrot\Value\Moment;

/** Held against ICU's calendar (IntlCalendar of PHP's intl), which counts months, days and hours by the same rules. */
final class LengthOfTimeTest extends TestCase
{
    private const ZONES = [
        'UTC',
        'Europe/London',
        'America/New_York',
        'Pacific/Chatham',
        'Asia/Kathmandu',
        'Australia/Lord_Howe',
    ];

    public function test_a_moment_is_shifted_as_icus_calendar_shifts_it(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(35));
        for ($i = 0; $i < 3_000; $i++) {
            $zone = self::ZONES[$i % count(self::ZONES)];
            $way = $random->getInt(0, 1) === 1 ? 1 : -1;
            [$months, $days, $hours] = [$random->getInt(0, 30), $random->getInt(0, 400), $random->getInt(0, 50)];
            $typed = [
                "$months months", "$days days", "$hours hours",
                intdiv($months, 12).' years '.($months % 12).' months '.intdiv($days, 7).' weeks '.($days % 7).' days',
            ][$i % 4];
            $moment = new Moment($random->getInt(1_000_000_000, 1_900_000_000) * 1_000 + $random->getInt(0, 999));
            $calendar = \IntlCalendar::createInstance($zone, 'en');
            self::assertNotNull($calendar);
            $calendar->setTime($moment->millis);
            match ($i % 4) {
                0 => $calendar->add(\IntlCalendar::FIELD_MONTH, $way * $months),
                1 => $calendar->add(\IntlCalendar::FIELD_DAY_OF_MONTH, $way * $days),
                2 => $calendar->add(\IntlCalendar::FIELD_HOUR_OF_DAY, $way * $hours),
                default => $calendar->add(\IntlCalendar::FIELD_MONTH, $way * $months)
                    && $calendar->add(\IntlCalendar::FIELD_DAY_OF_MONTH, $way * $days),
            };
            $length = LengthOfTime::typed($typed);
            self::assertNotNull($length, $typed);
            $shifted = $way === 1
                ? $length->after($moment, new \DateTimeZone($zone))
                : $length->before($moment, new \DateTimeZone($zone));
            self::assertSame(
                (new Moment((int) $calendar->getTime()))->iso(),
                $shifted->iso(),
                "{$moment->iso()} $way × $typed in $zone",
            );
        }
    }

    public function test_what_is_no_length_is_none(): void
    {
        self::assertEquals([0, 0, 5_400], self::parts('1 hour 30 minutes'));
        self::assertEquals([14, 16, 0], self::parts('1 Year 2 months 2 weeks 2 DAYS'));
        $none = ['an hour', '', ' ', '2', 'days', '2 days 3', '-1 day', '1.5 days', '1234567 days', '2days', '١ day'];
        foreach ($none as $text) {
            self::assertNull(LengthOfTime::typed($text), $text);
        }
    }

    /** @return list<int>|null */
    private static function parts(string $text): ?array
    {
        $length = LengthOfTime::typed($text);

        return $length === null ? null : [$length->months, $length->days, $length->seconds];
    }
}
