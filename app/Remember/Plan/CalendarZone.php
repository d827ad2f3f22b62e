<?php

declare(strict_types=1);

namespace App\Remember\Plan;

use DateTimeZone;
use Sabre\VObject\Component\VCalendar;
use SilverParrot\Value\Moment;

/** What a zone does, for whoever reads a calendar without knowing it: its changes around now (RFC 5545, 3.6.5). */
final class CalendarZone
{
    private const YEAR = 31_557_600;

    public static function add(VCalendar $calendar, DateTimeZone $zone, Moment $now): void
    {
        $at = intdiv($now->millis, 1_000);
        $changes = $zone->getTransitions($at - self::YEAR, $at + 2 * self::YEAR) ?: [];
        $part = $calendar->createComponent('VTIMEZONE');
        $part->add('TZID', $zone->getName());
        $before = $changes[0]['offset'] ?? 0;
        foreach ($changes as $change) {
            $component = $calendar->createComponent($change['isdst'] ? 'DAYLIGHT' : 'STANDARD');
            // By the clock as it was until then.
            $component->add('DTSTART', gmdate('Ymd\THis', $change['ts'] + $before));
            $component->add('TZOFFSETFROM', self::offset($before));
            $component->add('TZOFFSETTO', self::offset($change['offset']));
            $component->add('TZNAME', $change['abbr']);
            $part->add($component);
            $before = $change['offset'];
        }
        $calendar->add($part);
    }

    private static function offset(int $seconds): string
    {
        [$sign, $minutes] = [$seconds < 0 ? '-' : '+', intdiv(abs($seconds), 60)];

        return sprintf('%s%02d%02d', $sign, intdiv($minutes, 60), $minutes % 60);
    }
}
