<?php

declare(strict_types=1);

namespace Tests\Core\Hearing\Timers;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\TimerTooOften;
use SilverParrot\Document\Document;
use SilverParrot\Format\TimerFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\RunCommand;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\Timers\TimerClock;
use SilverParrot\Hearing\Timers\TimerPicture;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Timer;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Value\Moment;
use Tests\Outside;

/** What is said by itself: when its time has passed and enough was written, and never a moment sooner. */
final class TimersTest extends TestCase
{
    private const START = 1_764_064_800_000;

    public function test_a_timer_waits_a_full_interval_and_then_for_the_last_of_its_lines(): void
    {
        $timer = new Timer('links', [Say::response('one'), Say::response('two')], 10, 3);
        // Minutes at which people write; those after the tenth are too few at first.
        self::assertSame(
            [[10.0, 'one'], [31.0, 'two'], [41.0, 'one']],
            self::said([$timer], [1, 2, 3, 4, 30, 30.5, 31, 32, 33, 34, 50]),
        );
        self::assertSame([], self::said([$timer], [1, 2, 3, 9.99]), 'not before its time');
        self::assertSame([], self::said([$timer], [1, 2, 30]), 'not without its lines');
        self::assertSame([], self::said([$timer], [1, 2, 3, 4, 30, 40, 50, 60], isLive: false), 'not while offline');
        self::assertSame(
            [[10.0, 'x']],
            self::said([new Timer('x', [Say::response('x')], 10, 0, whileLive: false)], [15], isLive: false),
        );
        self::assertSame([], self::said([new Timer('x', [Say::response('x')], 10, 0, isOn: false)], [60]));
    }

    public function test_commands_and_talkers_are_none_of_the_lines_and_lines_alone_are_enough(): void
    {
        $pack = self::pack([new Timer('x', [Say::response('x')], 0, 3)], Say::on('!a', 'y')->gated(Cooldown::none()));
        $lines = [];
        $written = ['!a', 'one', 'silver_parrot: hm', '!a', 'two', 'harbour_bell: ding', '!a', 'three', 'four'];
        foreach ($written as $at => $line) {
            [$by, $text] = str_contains($line, ': ') ? explode(': ', $line, 2) : ['tamsin', $line];
            $lines[] = new TimedLine($at * 1_000, $by, $text);
        }
        $said = self::ofTimers(self::hear($pack->withTalker('harbour_bell'), $lines));
        self::assertSame([[0.117, 'x']], $said);
    }

    public function test_a_command_that_it_runs_is_not_said_again_shortly_after_somebody_asked(): void
    {
        $timer = new Timer('x', [new CommandResponse([new RunCommand('!a', 'by itself')])], 10, 0);
        $pack = self::pack([$timer], Say::on('!a', 'told [words or caller]')->gated(new Cooldown(1, 0)));
        $lines = static fn (float ...$minutes): array => array_map(
            static fn (float $minute): TimedLine => new TimedLine((int) ($minute * 60_000), 'tamsin', '!a'),
            array_values($minutes),
        );
        self::assertSame([[10.0, 'told by itself']], self::ofTimers(self::hear($pack, $lines(1, 19))));
        // Asked for at the ninth minute: half of its interval later.
        self::assertSame([[14.0, 'told by itself']], self::ofTimers(self::hear($pack, $lines(9, 19))));
    }

    public function test_what_somebody_asked_for_is_not_said_unasked_shortly_after_whichever_command_said_it(): void
    {
        $timer = new Timer('x', [Say::response('Charts of the cove '), Say::response('else')], 10, 0);
        $pack = self::pack([$timer], Say::on('!a', 'Charts of the cove'), Say::on('!b', 'charts'));
        $lines = static fn (string $text): array => array_map(
            static fn (int $minute): TimedLine => new TimedLine($minute * 60_000, 'tamsin', $text),
            [9, 16],
        );
        self::assertSame([[14.0, 'Charts of the cove']], self::ofTimers(self::hear($pack, $lines('!a'))));
        self::assertSame([[10.0, 'Charts of the cove']], self::ofTimers(self::hear($pack, $lines('!b'))));
    }

    public function test_lines_may_count_for_some_minutes_only(): void
    {
        $timer = new Timer('x', [Say::response('x')], 10, 3, within: 5);
        self::assertSame([[13.0, 'x']], self::said([$timer], [1, 2, 3, 11, 12, 13, 14]));
        self::assertSame([[18.0, 'x']], self::said([$timer], [1, 2, 3, 11, 14, 17, 18, 19]));
        // Those of the last minutes before it spoke count again: a lively chat need not write more for it.
        self::assertSame([[10.0, 'x'], [20.0, 'x']], self::said([$timer], [8, 9, 9.5, 16, 17, 18, 21]));
    }

    public function test_between_two_sayings_lie_the_minutes_the_lines_and_the_distance_whatever_people_do(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261130));
        for ($round = 0; $round < Outside::rounds(40, 800); $round++) {
            $timers = [];
            for ($number = 0; $number < $random->getInt(1, 4); $number++) {
                $timers[] = new Timer(
                    "t$number",
                    [Say::response("t$number")],
                    $random->getInt(0, 12),
                    $random->getInt(1, 12),
                    order: DrawOrder::Free,
                    within: $random->getInt(0, 2) * 5,
                );
            }
            $minutes = [];
            for ($minute = 0.0; $minute < 90; $minute += $random->getInt(1, 40) / 10) {
                $minutes[] = round($minute, 1);
            }
            $last = [];
            $any = null;
            foreach (self::said($timers, $minutes) as [$at, $text]) {
                $timer = $timers[(int) $text[1]];
                $from = $last[$text] ?? 0.0;
                self::assertGreaterThanOrEqual($timer->minutes, round($at - $from, 6), "round $round, $text at $at");
                $counted = $timer->within === 0 ? $from : $at - $timer->within;
                self::assertGreaterThanOrEqual(
                    $timer->lines,
                    count(array_filter($minutes, static fn (float $one): bool => $one >= $counted && $one <= $at)),
                    "round $round, $text at $at",
                );
                self::assertGreaterThanOrEqual(TimerClock::APART / 60, round($at - ($any ?? -99.0), 6));
                $last[$text] = $any = $at;
            }
        }
    }

    public function test_a_talker_that_begins_anew_changes_nothing_and_another_rhythm_begins_anew(): void
    {
        $timer = new Timer('x', [Say::response('x')], 10, 0);
        $rehearsal = new Rehearsal(self::pack([$timer]), self::situation(true), '1', ChatProfile::stream());
        $at = static fn (float $minute): Moment => new Moment(self::START + (int) ($minute * 60_000));
        self::assertNull($rehearsal->dueBefore($at(5), $at(0)));
        $memory = $rehearsal->memory();
        $again = new Rehearsal(self::pack([$timer]), self::situation(true, $memory), '1', ChatProfile::stream());
        self::assertSame($at(10)->millis, $again->dueBefore($at(60), $at(4))?->at()->millis);
        $other = self::pack([new Timer('x', [Say::response('other words')], 20, 0)]);
        $set = new Rehearsal($other, self::situation(true, $memory), '1', ChatProfile::stream());
        self::assertSame($at(24)->millis, $set->dueBefore($at(60), $at(4))?->at()->millis);
        // The same saying that two saw is said once.
        $due = $again->dueBefore($at(60), $at(4));
        self::assertNotNull($due);
        self::assertSame(['x'], $again->hear($due)->texts());
        $seenToo = new \SilverParrot\Hearing\Timers\TimerDue($timer, 0, $at(11.5));
        self::assertSame([], $again->hear($seenToo)->texts());
    }

    public function test_it_is_kept_in_a_document_found_where_it_drowns_a_chat_and_drawn_as_two_hours(): void
    {
        $document = [
            'name' => 'links',
            'responses' => [['text' => 'x'], ['text' => 'y', 'weight' => 3]],
            'order' => 'free',
            'minutes' => 15,
            'lines' => 2,
            'offline_too' => true,
            'enabled' => false,
        ];
        $timer = TimerFormat::read(Document::of($document));
        self::assertSame($document, TimerFormat::write($timer));
        $told = static fn (Timer ...$timers): array => array_map(
            static fn ($one): string => $one->sentence(),
            (new TimerTooOften)->look(CheckContext::at(self::pack(array_values($timers)), new CheckEnvironment)),
        );
        self::assertSame(
            ['The timer a speaks every 15 minutes.', 'The timer b speaks after 4 lines.'],
            $told(
                new Timer('a', [], 15, 10),
                new Timer('b', [], 30, 4),
                new Timer('c', [], 30, 10),
                new Timer('d', [], 5, 0, isOn: false),
                new Timer('e', [], 0, 20),
            ),
        );
        self::assertSame(
            [[30.0, 60.0, 90.0, 120.0], [32.0, 62.0, 92.0], []],
            TimerPicture::of([new Timer('a', []), new Timer('b', []), new Timer('c', [], isOn: false)]),
        );
        $never = Document::of(['name' => 'x', 'responses' => [], 'minutes' => 0, 'lines' => 0]);
        TimerFormat::read($never);
        self::assertSame('never-quiet', $never->findings()[0]->kind->code());
    }

    /**
     * @param  list<Timer>  $timers
     * @param  list<float|int>  $minutes  at which somebody writes a line
     * @return list<array{float, string}> minutes and texts
     */
    private static function said(array $timers, array $minutes, bool $isLive = true): array
    {
        return self::ofTimers(self::hear(self::pack($timers), array_map(
            static fn (float|int $minute): TimedLine => new TimedLine((int) round($minute * 60_000), 'tamsin', 'well'),
            $minutes,
        ), $isLive));
    }

    /**
     * @param  list<TimedLine>  $lines
     * @return list<Heard>
     */
    private static function hear(Pack $pack, array $lines, bool $isLive = true): array
    {
        $rehearsal = new Rehearsal($pack, self::situation($isLive), '1', ChatProfile::stream());

        return Runner::run($rehearsal, $lines, [], new Moment(self::START))->heard;
    }

    /**
     * @param  list<Heard>  $heard
     * @return list<array{float, string}>
     */
    private static function ofTimers(array $heard): array
    {
        $said = [];
        foreach ($heard as $one) {
            foreach ($one->by === null ? $one->outcome->texts() : [] as $text) {
                $said[] = [round($one->line->millis / 60_000, 3), $text];
            }
        }

        return $said;
    }

    /** @param  list<Timer>  $timers */
    private static function pack(array $timers, Command ...$commands): Pack
    {
        return new Pack(
            Pack::blank()->channel,
            commands: array_values($commands),
            flood: new \SilverParrot\Pack\Flood(0, 0),
            timers: $timers,
        );
    }

    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $memory */
    private static function situation(bool $isLive, array $memory = []): InitialState
    {
        return new InitialState($memory, ['live' => $isLive]);
    }
}
