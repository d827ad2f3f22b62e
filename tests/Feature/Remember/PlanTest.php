<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Remember\Plan\ICalendar;
use Illuminate\Http\UploadedFile;
use SilverParrot\Chat\Channel;
use SilverParrot\Pack\PlannedStream;
use SilverParrot\Pack\StreamPlan;
use SilverParrot\Value\Moment;
use Tests\Feature\TestCase;

final class PlanTest extends TestCase
{
    public function test_a_plan_is_made_with_days_off_and_given_as_a_calendar_that_comes_back_the_same(): void
    {
        $this->actingAs($this->wren);
        $add = fn (array $typed) => $this->post(
            route('remember.plan.store', $this->cove),
            $typed + ['minutes' => '180', 'title' => 'Planking; port, side', 'category' => 'Planking'],
        );
        $add(['weekday' => 'fri', 'at' => '19:30'])->assertSessionHasNoErrors();
        $add(['weekday' => 'once', 'date' => '2026-12-24', 'at' => '10:00'])->assertSessionHasNoErrors();
        $add(['weekday' => 'once', 'at' => '10:00'])->assertSessionHasErrors('date');
        $add(['weekday' => 'fri', 'at' => '25:00'])->assertSessionHasErrors('at');
        $this->post(route('remember.plan.day', [$this->cove, '2026-11-27']));
        $this->get(route('remember.plan', $this->cove))->assertSee('The next stream begins')->assertSee('day off');
        $plan = $this->cove->refresh()->plan;
        $ics = (string) $this->get(route('remember.plan.give', $this->cove))->getContent();
        self::assertStringContainsString('BEGIN:VTIMEZONE', $ics);
        self::assertStringContainsString('RRULE:FREQ=WEEKLY;BYDAY=FR', $ics);
        $file = UploadedFile::fake()->createWithContent('plan.ics', $ics);
        $this->post(route('remember.plan.bring', $this->cove), ['calendar' => $file]);
        self::assertSame($plan, $this->cove->refresh()->plan);
        $this->post(route('remember.plan.day', [$this->cove, '2026-99-99']))->assertNotFound();
        // Of two streams of a day one may be off, and all of them are the day.
        $add(['weekday' => 'fri', 'at' => '09:00'])->assertSessionHasNoErrors();
        $off = fn (string $at) => $this->post(route('remember.plan.day', [$this->cove, '2026-12-04']), ['at' => $at]);
        $off('19:30')->assertSessionHas('notice', 'That stream is off.');
        $off('25:00')->assertNotFound();
        self::assertContains('2026-12-04 19:30', $this->cove->refresh()->plan['days_off'] ?? []);
        $this->get(route('remember.plan', $this->cove))->assertSee('19:30 off');
        $both = $this->cove->plan;
        $ics = (string) $this->get(route('remember.plan.give', $this->cove))->getContent();
        $this->post(route('remember.plan.bring', $this->cove), [
            'calendar' => UploadedFile::fake()->createWithContent('plan.ics', $ics),
        ]);
        self::assertSame($both, $this->cove->refresh()->plan);
        $off('19:30')->assertSessionHas('notice', 'That stream is on again.');
        $this->delete(route('remember.plan.destroy', [$this->cove, 5]));
        $this->delete(route('remember.plan.destroy', [$this->cove, 0]));
        self::assertCount(4, $this->cove->refresh()->plan['streams'] ?? []);
        $broken = "BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:20269999\nEND:VEVENT\nEND:VCALENDAR";
        foreach (['', 'BEGIN:VEVENT', 'hello', $broken] as $text) {
            $file = UploadedFile::fake()->createWithContent('plan.ics', $text);
            $this->post(route('remember.plan.bring', $this->cove), ['calendar' => $file]);
        }
        self::assertLessThanOrEqual(4, count($this->cove->refresh()->plan['streams'] ?? []));
    }

    /**
     * Worked examples of RFC 5545, 3.8.5.3: what they begin with, their rule, and the dates that it gives.
     *
     * @return iterable<string, array{string, list<string>}>
     */
    public static function examples(): iterable
    {
        yield 'daily for 10 occurrences' => [
            'FREQ=DAILY;COUNT=10',
            array_map(static fn (int $day): string => sprintf('1997-09-%02d', $day), range(2, 11)),
        ];
        yield 'every 10 days, 5 occurrences' => [
            'FREQ=DAILY;INTERVAL=10;COUNT=5',
            ['1997-09-02', '1997-09-12', '1997-09-22', '1997-10-02', '1997-10-12'],
        ];
        yield 'weekly for 10 occurrences' => ['FREQ=WEEKLY;COUNT=10', [
            '1997-09-02', '1997-09-09', '1997-09-16', '1997-09-23', '1997-09-30',
            '1997-10-07', '1997-10-14', '1997-10-21', '1997-10-28', '1997-11-04',
        ]];
        yield 'weekly on Tuesday and Thursday for five weeks' => ['FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH', [
            '1997-09-02', '1997-09-04', '1997-09-09', '1997-09-11', '1997-09-16',
            '1997-09-18', '1997-09-23', '1997-09-25', '1997-09-30', '1997-10-02',
        ]];
        yield 'every other week on Tuesday and Thursday, for 8 occurrences' => [
            'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH',
            [
                '1997-09-02', '1997-09-04', '1997-09-16', '1997-09-18',
                '1997-09-30', '1997-10-02', '1997-10-14', '1997-10-16',
            ],
        ];
        yield 'monthly on the third instance of Tuesday, Wednesday, or Thursday for three months' => [
            'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3',
            ['1997-09-04', '1997-10-07', '1997-11-06'],
        ];
    }

    /** @param  list<string>  $dates */
    #[\PHPUnit\Framework\Attributes\DataProvider('examples')]
    public function test_recurrence_is_read_as_the_standard_works_it_out(string $rule, array $dates): void
    {
        $start = str_replace('-', '', $dates[0]);
        $plan = self::read("DTSTART;TZID=America/New_York:{$start}T090000\r\nRRULE:$rule");
        $on = array_map(static fn (PlannedStream $one): string => "{$one->on} {$one->at}", $plan->streams);
        self::assertSame(array_map(static fn (string $date): string => "$date 09:00", $dates), $on);
    }

    public function test_rules_that_never_give_a_date_and_years_of_dates_end(): void
    {
        $rules = [
            'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
            'FREQ=DAILY;INTERVAL=7;BYDAY=MO',
            'FREQ=HOURLY;BYHOUR=30',
            'FREQ=SECONDLY',
            'FREQ=DAILY;BYMONTH=13',
            'FREQ=WEEKLY;INTERVAL=2;BYDAY=ZZ',
            'FREQ=DAILY;INTERVAL=0',
            'FREQ=YEARLY;BYMONTH=2;BYDAY=MO;BYSETPOS=9',
        ];
        foreach ($rules as $rule) {
            self::assertIsString(self::brought("DTSTART:19970902T090000\r\nRRULE:$rule"), $rule);
        }
        $never = self::brought("DTSTART:19970902T090000\r\nRRULE:FREQ=MONTHLY;BYMONTHDAY=31;INTERVAL=12");
        self::assertInstanceOf(StreamPlan::class, $never);
        $old = self::read("DTSTART:19470902T090000\r\nRRULE:FREQ=DAILY;INTERVAL=2");
        $age = (int) (new \DateTimeImmutable('1947-09-02'))->diff(new \DateTimeImmutable('1997-09-01'))->days;
        $days = array_filter(range($age, $age + 369), static fn (int $day): bool => $day % 2 === 0);
        self::assertCount(count($days), $old->streams, 'every other day of the 370 to come');
        $many = str_repeat("END:VEVENT\r\nBEGIN:VEVENT\r\nDTSTART:19010902T090000\r\nRRULE:FREQ=DAILY\r\n", 50);
        self::assertIsString(self::brought("DTSTART:19970902T090000\r\n$many"), 'together they are too many');
    }

    public function test_what_comes_each_week_for_good_stays_weekly_with_its_exceptions(): void
    {
        $plan = self::read("DTSTART;TZID=America/New_York:19970902T090000\r\nDURATION:PT2H"
            ."\r\nRRULE:FREQ=WEEKLY;BYDAY=TU,TH"
            ."\r\nEXDATE;TZID=America/New_York:19970909T090000");
        self::assertSame([['tue', '09:00', 120], ['thu', '09:00', 120]], array_map(
            static fn (PlannedStream $one): array => [$one->on, $one->at, $one->minutes],
            $plan->streams,
        ));
        self::assertSame(['1997-09-09'], $plan->daysOff, 'the one stream of a day is the day');
        // At the clock change of 26 October 1997 the time of day stays (tz database).
        $zone = new \DateTimeZone('America/New_York');
        $next = $plan->next(Moment::fromIso('1997-10-28T05:00:00Z') ?? new Moment(0), $zone);
        self::assertSame('1997-10-28T14:00:00Z', $next?->iso());
    }

    private static function read(string $event): StreamPlan
    {
        $plan = self::brought($event);

        return $plan instanceof StreamPlan ? $plan : self::fail($plan);
    }

    private static function brought(string $event): StreamPlan|string
    {
        $text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
            ."DTSTAMP:19970901T000000Z\r\nSUMMARY:Planking\r\n$event\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";

        return ICalendar::read(
            $text,
            Channel::of('lantern_cove', 'Lantern Cove', 'en', 'America/New_York'),
            Moment::fromIso('1997-09-01T12:00:00Z') ?? new Moment(0),
        );
    }
}
