<?php

declare(strict_types=1);

namespace App\Remember\Plan;

use Closure;
use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime as CalendarMoment;
use Sabre\VObject\Property\ICalendar\Recur;
use Sabre\VObject\Reader;
use Sabre\VObject\Recur\EventIterator;
use Sabre\VObject\Settings;
use SilverParrot\Chat\Channel;
use SilverParrot\Pack\PlannedStream;
use SilverParrot\Pack\StreamPlan;
use SilverParrot\Value\Moment;

/** The plan of streams as an iCalendar document (RFC 5545), brought and given. The library knows recurrence. */
final class ICalendar
{
    private const DAYS = [
        'mon' => 'MO',
        'tue' => 'TU',
        'wed' => 'WE',
        'thu' => 'TH',
        'fri' => 'FR',
        'sat' => 'SA',
        'sun' => 'SU',
    ];

    /** Days ahead for which what comes neither each week nor once is written out. */
    private const AHEAD = 370;

    /**
     * Dates that all events together may go over, those that are past among them: the library goes over each, and a
     * daily one of sixty years ago has some twenty thousand.
     */
    private const DATES = 40_000;

    /** Parts of a rule that are read, by how often it comes: with others the library may look for a date for good. */
    private const READ = [
        'DAILY' => [],
        'WEEKLY' => ['BYDAY'],
        'MONTHLY' => ['BYDAY', 'BYMONTHDAY', 'BYSETPOS'],
        'YEARLY' => [],
    ];

    public const BYTES = 500_000;

    public static function write(StreamPlan $plan, Channel $channel, Moment $now): string
    {
        return self::quietly(static function () use ($plan, $channel, $now): string {
            $calendar = new VCalendar(['PRODID' => '-//Silver Parrot//Plan of streams//EN']);
            CalendarZone::add($calendar, $channel->zone, $now);
            $today = $now->in($channel->zone)->setTime(0, 0);
            foreach ($plan->streams as $place => $stream) {
                $date = $stream->isWeekly() ? self::firstOn($today, $stream->on) : $stream->on;
                $begins = new DateTimeImmutable("$date {$stream->at}", $channel->zone);
                /** @var VEvent $event */
                $event = $calendar->add('VEVENT', [
                    'UID' => "{$channel->login}-$place-{$stream->on}@silver-parrot",
                    'DTSTAMP' => $now->in(new DateTimeZone('UTC')),
                    'SUMMARY' => $stream->title === '' ? $channel->name : $stream->title,
                    'DTSTART' => $begins,
                    'DURATION' => "PT{$stream->minutes}M",
                ]);
                if ($stream->category !== '') {
                    $event->add('CATEGORIES', $stream->category);
                }
                if ($stream->isWeekly()) {
                    $event->add('RRULE', 'FREQ=WEEKLY;BYDAY='.self::DAYS[$stream->on]);
                    foreach ($plan->daysOff as $off) {
                        [$day, $time] = explode(' ', $off, 2) + [1 => $stream->at];
                        $isIts = strtolower((new DateTimeImmutable($day))->format('D')) === $stream->on;
                        if ($isIts && $time === $stream->at) {
                            $event->add('EXDATE', new DateTimeImmutable("$day {$stream->at}", $channel->zone));
                        }
                    }
                }
            }

            return $calendar->serialize();
        });
    }

    /** @return StreamPlan|string the plan, or why it cannot be read */
    public static function read(string $text, Channel $channel, Moment $now): StreamPlan|string
    {
        return self::quietly(static function () use ($text, $channel, $now): StreamPlan|string {
            if (strlen($text) > self::BYTES) {
                return 'This calendar is too large: it may have 500 kB.';
            }
            try {
                $calendar = Reader::read($text, Reader::OPTION_FORGIVING);
            } catch (\Throwable) {
                return 'This is no iCalendar document: one begins with BEGIN:VCALENDAR.';
            }
            if (! $calendar instanceof VCalendar) {
                return 'This is no iCalendar document: one begins with BEGIN:VCALENDAR.';
            }
            $streams = $off = [];
            $dates = self::DATES;
            Settings::$maxRecurrences = self::DATES;
            /** @var VEvent $event */
            foreach ($calendar->select('VEVENT') as $event) {
                try {
                    self::event($event, $channel, $now, $streams, $off, $dates);
                } catch (\Throwable) {
                    return 'An event of it has a date or a rule that is not read here: '
                        .self::text($event, 'SUMMARY', 80).'.';
                }
            }
            if (count($streams) > StreamPlan::MOST) {
                return 'It has more streams than a plan has room for: '.number_format(StreamPlan::MOST).'.';
            }

            $off = array_values(array_unique($off));
            sort($off);

            return (new StreamPlan($streams, $off))->inShort();
        });
    }

    /**
     * @param  list<PlannedStream>  $streams
     * @param  list<string>  $off
     * @param  int  $dates  that may still be gone over
     *
     * @throws \RangeException
     */
    private static function event(
        VEvent $event,
        Channel $channel,
        Moment $now,
        array &$streams,
        array &$off,
        int &$dates,
    ): void {
        $start = self::property($event, 'DTSTART');
        if (! $start instanceof CalendarMoment) {
            return;
        }
        $begins = self::here($start->getDateTime($channel->zone), $channel->zone);
        $stream = static fn (string $on, DateTimeImmutable $at): PlannedStream => new PlannedStream(
            $on,
            $at->format('H:i'),
            self::minutes($event),
            self::text($event, 'SUMMARY', 500),
            self::text($event, 'CATEGORIES', 100),
        );
        $days = self::weekdays($event, $begins);
        if ($days !== null) {
            foreach ($days as $day) {
                $streams[] = $stream($day, $begins);
            }
            foreach ($event->select('EXDATE') as $left) {
                foreach ($left instanceof CalendarMoment ? $left->getDateTimes($channel->zone) : [] as $date) {
                    $off[] = self::here($date, $channel->zone)->format('Y-m-d').' '.$begins->format('H:i');
                }
            }

            return;
        }
        $from = $now->in($channel->zone)->setTime(0, 0);
        if (self::property($event, 'RRULE') === null && self::property($event, 'RDATE') === null) {
            if ($begins >= $from) {
                $streams[] = $stream($begins->format('Y-m-d'), $begins);
            }

            return;
        }
        self::mustEnd($event);
        $iterator = new EventIterator([$event], null, $channel->zone);
        $until = $from->modify('+'.self::AHEAD.' days');
        for (; $iterator->valid() && $iterator->getDtStart() <= $until; $iterator->next()) {
            if (--$dates < 0 || count($streams) > StreamPlan::MOST) {
                throw new \RangeException;
            }
            $here = self::here($iterator->getDtStart(), $channel->zone);
            if ($here >= $from) {
                $streams[] = $stream($here->format('Y-m-d'), $here);
            }
        }
    }

    /** @throws \RangeException for a rule of which the library might look for the next date without an end */
    private static function mustEnd(VEvent $event): void
    {
        $rule = self::property($event, 'RRULE');
        $parts = $rule instanceof Recur ? array_change_key_case($rule->getParts(), CASE_UPPER) : ['FREQ' => 'DAILY'];
        $often = is_string($parts['FREQ'] ?? null) ? strtoupper($parts['FREQ']) : '';
        $known = ['FREQ', 'INTERVAL', 'COUNT', 'UNTIL', 'WKST', ...self::READ[$often] ?? []];
        if (! isset(self::READ[$often]) || array_diff(array_keys($parts), $known) !== []) {
            throw new \RangeException;
        }
    }

    /** @return list<string>|null the weekdays of what comes each week for good; null for all else */
    private static function weekdays(VEvent $event, DateTimeImmutable $begins): ?array
    {
        $rule = self::property($event, 'RRULE');
        $parts = $rule instanceof Recur ? array_change_key_case($rule->getParts(), CASE_UPPER) : [];
        $known = array_diff(array_keys($parts), ['FREQ', 'BYDAY', 'INTERVAL', 'WKST']);
        if (($parts['FREQ'] ?? '') !== 'WEEKLY' || $known !== [] || ($parts['INTERVAL'] ?? '1') !== '1') {
            return null;
        }
        $names = array_flip(self::DAYS);
        $days = (array) ($parts['BYDAY'] ?? array_values(self::DAYS)[(int) $begins->format('N') - 1]);

        $name = static fn (mixed $day): ?string => is_string($day) ? $names[$day] ?? null : null;

        return array_values(array_filter(array_map($name, $days)));
    }

    private static function minutes(VEvent $event): int
    {
        $end = self::property($event, 'DTEND');
        $start = self::property($event, 'DTSTART');
        $length = self::property($event, 'DURATION');
        $seconds = match (true) {
            $length instanceof \Sabre\VObject\Property\ICalendar\Duration => (new DateTimeImmutable('@0'))
                ->add($length->getDateInterval())
                ->getTimestamp(),
            $end instanceof CalendarMoment && $start instanceof CalendarMoment => $end->getDateTime()->getTimestamp()
                - $start->getDateTime()->getTimestamp(),
            default => 180 * 60,
        };

        return max(1, min(PlannedStream::LONGEST, intdiv($seconds, 60)));
    }

    private static function text(VEvent $event, string $name, int $most): string
    {
        $text = self::property($event, $name)?->getValue();

        return mb_substr(mb_scrub(trim(is_string($text) ? $text : '')), 0, $most);
    }

    private static function property(VEvent $event, string $name): ?Property
    {
        $found = array_values($event->select($name))[0] ?? null;

        return $found instanceof Property ? $found : null;
    }

    private static function here(\DateTimeInterface $date, DateTimeZone $zone): DateTimeImmutable
    {
        return DateTimeImmutable::createFromInterface($date)->setTimezone($zone);
    }

    private static function firstOn(DateTimeImmutable $today, string $weekday): string
    {
        return $today->modify('-1 day')->modify("next $weekday")->format('Y-m-d');
    }

    /**
     * The library is older than the language: what it does in ways that go out of use is no matter of ours.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    private static function quietly(Closure $do): mixed
    {
        $before = error_reporting(error_reporting() & ~E_DEPRECATED & ~E_USER_DEPRECATED);
        try {
            return $do();
        } finally {
            error_reporting($before);
        }
    }
}
