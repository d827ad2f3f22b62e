<?php

declare(strict_types=1);

namespace Tests\Core\Hearing\Gates;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Gates\AtMost;
use SilverParrot\Hearing\Gates\ByChance;
use SilverParrot\Hearing\Gates\ByLevel;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Cost;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\Hours;
use SilverParrot\Hearing\Gates\Open;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Flood;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;
use Tests\Outside;

/** What must hold of gates whatever people do, one try after another. */
final class GatePropertiesTest extends TestCase
{
    private const START = 1_764_064_800_000;

    private int $lines = 0;

    public function test_no_two_successes_lie_within_a_cooldown_for_those_whom_it_binds(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261129));
        for ($round = 0; $round < Outside::rounds(60, 1_000); $round++) {
            $channel = $random->getInt(0, 20);
            $own = ['tamsin' => $random->getInt(0, 60), 'odo' => $random->getInt(0, 60)];
            $hasChance = $random->getInt(0, 1) === 1;
            $command = Say::on('!a', 'done')
                ->alsoOn('!b')
                ->saidAs(new \SilverParrot\Pack\Phrase('wet paint'))
                ->gated(
                    new Cooldown(
                        $channel,
                        $own['tamsin'],
                        ByLevel::of(['subscriber' => $own['odo']]),
                        Level::Moderator,
                    ),
                    ...$hasChance ? [new ByChance(50)] : [],
                );
            $rehearsal = $this->rehearsal($command);
            $last = ['' => null, 'tamsin' => null, 'odo' => null, 'bram' => null];
            $second = 0;
            for ($try = 0; $try < 30; $try++) {
                $second += $random->getInt(0, 15);
                $who = ['tamsin', 'odo', 'bram'][$random->getInt(0, 2)];
                $line = ['!a', '!B now', 'mind the wet, paint!'][$random->getInt(0, 2)];
                $outcome = $this->hear($rehearsal, $line, $second, $who);
                $bound = $who !== 'bram' && (
                    ($last[''] !== null && $second - $last[''] < $channel)
                    || ($last[$who] !== null && $second - $last[$who] < $own[$who])
                );
                $code = $outcome->closed->code ?? '';
                // Whom it binds it refuses, and nobody else; a chance that failed came behind it, and starts it.
                self::assertSame($bound, $code === 'cooldown', "round $round, try $try, $who at $second");
                if (! $bound) {
                    self::assertContains($code, $hasChance ? ['', 'chance'] : ['']);
                    $last[''] = $last[$who] = $second;
                }
            }
        }
    }

    public function test_points_are_spent_once_for_each_success_and_never_where_a_gate_is_closed(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261130));
        for ($round = 0; $round < Outside::rounds(60, 1_000); $round++) {
            $price = $random->getInt(1, 15);
            $most = $random->getInt(1, 4);
            $isFailing = $random->getInt(0, 3) === 0;
            $command = Say::on('!a', $isFailing ? '[1 / 0]' : 'done')->gated(
                new Cooldown(0, 0),
                new Cost($price),
                new AtMost(personStream: $most),
                ...$random->getInt(0, 1) === 0 ? [] : [new ByChance($random->getInt(10, 90))],
            );
            $rehearsal = $this->rehearsal($command);
            [$has, $successes] = [40, 0];
            for ($try = 0; $try < 12; $try++) {
                $outcome = $this->hear($rehearsal, '!a', $try, 'tamsin');
                $isDone = $outcome->closed === null && $outcome->failed === null;
                $changes = array_values(
                    array_filter(
                        $outcome->changes,
                        static fn ($one): bool => $one->key->id() === Key::field('pebbles', 'cast-tamsin')->id(),
                    ),
                );
                self::assertSame($isDone ? [[$has, $has - $price]] : [], array_map(
                    static fn ($one): array => [$one->from, $one->to],
                    $changes,
                ));
                $has -= $isDone ? $price : 0;
                $successes += $isDone ? 1 : 0;
                self::assertGreaterThanOrEqual(0, $has);
                self::assertLessThanOrEqual($most, $successes, 'at most so many a stream');
                self::assertFalse($isFailing && ($outcome->closed->code ?? '') === 'at-most', 'what failed is none');
            }
        }
    }

    /**
     * Against what a clock and a calendar on the wall would say, quarter by quarter, in weeks in which the clocks are
     * put forward and back.
     */
    #[Group('wide')]
    public function test_hours_open_at_the_first_minute_at_which_they_are_open(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261128));
        // None in the hours that a clock change skips or repeats.
        $time = static fn (): string => sprintf('%02d:%02d', $random->getInt(3, 24) % 24, 15 * $random->getInt(0, 3));
        $zone = new \DateTimeZone('Europe/Lisbon');
        foreach (['2026-03-27T00:00:00Z', '2026-10-23T00:00:00Z', '2026-11-25T00:00:00Z'] as $begins) {
            $start = Moment::fromIso($begins) ?? new Moment(0);
            for ($round = 0; $round < Outside::rounds(4, 60); $round++) {
                $days = array_values(
                    array_filter(Hours::DAYS, static fn (string $day): bool => $random->getInt(0, 2) === 0),
                );
                $hours = new Hours($time(), $time(), $days);
                $isOpen = [];
                for ($minute = 0; $minute < 9 * 1_440; $minute += 15) {
                    $isOpen[$minute] = self::onTheWall($hours, $start->plusMillis($minute * 60_000)->in($zone));
                }
                foreach (array_keys($isOpen) as $minute) {
                    if ($isOpen[$minute]) {
                        self::assertNull($this->opensIn($hours, $start->plusMillis($minute * 60_000)));

                        continue;
                    }
                    $next = $minute;
                    while (isset($isOpen[$next]) && ! $isOpen[$next]) {
                        $next += 15;
                    }
                    if (isset($isOpen[$next])) {
                        self::assertSame(
                            ($next - $minute) * 60,
                            $this->opensIn($hours, $start->plusMillis($minute * 60_000)),
                            json_encode([$hours->write(), $begins, $minute]) ?: '',
                        );
                    }
                }
            }
        }
    }

    public function test_who_is_let_in_is_let_in_with_more_levels_too(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261127));
        $some = static fn (): array => array_values(
            array_filter(Level::cases(), static fn (): bool => $random->getInt(0, 2) === 0),
        );
        for ($round = 0; $round < Outside::rounds(300, 5_000); $round++) {
            $gate = new ForLevels(
                new \SilverParrot\Pack\LevelRule(
                    $random->getInt(0, 1) === 0 ? $some() : [],
                    $random->getInt(0, 1) === 0 ? Level::from($random->getInt(0, 7)) : null,
                ),
                $random->getInt(0, 2) === 0 ? ['odo'] : [],
            );
            $held = $some();
            $person = static fn (Level ...$levels): Person => Person::known(
                '1',
                'tamsin',
                'Tamsin',
                Levels::of(...$levels),
            );
            if ($gate->admits($person(...$held))) {
                self::assertTrue($gate->admits($person(...$held, ...$some())), json_encode($gate->write()) ?: '');
            }
            self::assertTrue($gate->admits($person(Level::Streamer)), 'the streamer is always among them');
        }
    }

    private static function onTheWall(Hours $hours, \DateTimeImmutable $now): bool
    {
        $isDay = static fn (\DateTimeImmutable $day): bool => $hours->days === []
            || in_array(strtolower($day->format('D')), $hours->days, true);
        $time = $now->format('H:i');

        return $hours->from < $hours->to
            ? $isDay($now) && $hours->from <= $time && $time < $hours->to
            : ($isDay($now) && $hours->from <= $time) || ($isDay($now->modify('-1 day')) && $time < $hours->to);
    }

    private function opensIn(Hours $hours, Moment $at): ?int
    {
        $pack = World::pack(zone: 'Europe/Lisbon')->withCommand($command = Say::on('!a', 'x'));
        $line = new \SilverParrot\Chat\ChatLine('e', World::people()[0]->person(), '!a', $at);
        $stands = $hours->stand(new GateContext($command, $line, new \SilverParrot\World(
            $pack,
            new CompleteView,
            new \SilverParrot\Lookup\CannedReadings,
            $at,
            new \SilverParrot\Chance\KeyedChance('1', 'e'),
            ChatProfile::stream(),
        )));
        $seconds = $stands instanceof Open ? null : $stands->opens->data['seconds'] ?? null;

        return is_int($seconds) ? $seconds : null;
    }

    private function rehearsal(Command $command): Rehearsal
    {
        $pack = World::pack()->withCommand($command)->withFlood(new Flood(0, 0));

        return new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
    }

    private function hear(Rehearsal $rehearsal, string $line, int $second, string $who): Outcome
    {
        foreach (World::people() as $member) {
            if ($member->login === $who) {
                return $rehearsal->line(
                    'line '.++$this->lines,
                    $member->person(),
                    $line,
                    new Moment(self::START + $second * 1000),
                );
            }
        }
        self::fail("$who is not in the cast");
    }
}
