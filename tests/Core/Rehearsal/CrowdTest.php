<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\Draws;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Happening;
use SilverParrot\Chat\HappeningKind;
use SilverParrot\Chat\Person;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\LineMatch;
use SilverParrot\Hearing\Phrases\PhraseMatch;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Crowd\Crowd;
use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\Crowd\CrowdFormat;
use SilverParrot\Rehearsal\Crowd\CrowdHappening;
use SilverParrot\Rehearsal\Crowd\CrowdPhase;
use SilverParrot\Rehearsal\Crowd\CrowdPreset;
use SilverParrot\Rehearsal\Crowd\Habits;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;

/** What a crowd does is what its description says, as far as luck lets one tell. */
final class CrowdTest extends TestCase
{
    private const EXAMPLES = __DIR__.'/../../../docs/examples/';

    public function test_pauses_are_as_at_random_moments(): void
    {
        $crowd = new CrowdDescription(20, 100, 3_000, stays: 0, habits: []);
        $millis = array_map(static fn (Event $one): int => $one->at()->millis, self::events($crowd));
        self::assertCount(3_000, $millis);
        $pauses = [];
        for ($place = 1; $place < count($millis); $place++) {
            self::assertGreaterThanOrEqual($millis[$place - 1], $millis[$place]);
            $pauses[] = $millis[$place] - $millis[$place - 1];
        }
        sort($pauses);
        $mean = $crowd->length() / 3_001;
        $distance = 0.0;
        foreach ($pauses as $place => $pause) {
            $expected = 1 - exp(-($pause + 0.5) / $mean);
            $distance = max($distance, abs($expected - ($place + 1) / count($pauses)));
        }
        // Kolmogorov–Smirnov, one sample, one in a thousand: 1.949 / sqrt(n) (Smirnov 1948; common practice).
        self::assertLessThan(1.949 / sqrt(count($pauses)), $distance);
    }

    public function test_people_write_as_much_as_their_share(): void
    {
        $crowd = new CrowdDescription(20, 100, 4_000, busiestTenth: 45, stays: 0, habits: []);
        $wrote = [];
        foreach (self::events($crowd) as $one) {
            $login = $one->person()->login ?? '';
            $wrote[$login] = ($wrote[$login] ?? 0) + 1;
        }
        $weights = CrowdDescription::weights(20, 45);
        self::assertEqualsWithDelta(0.45, ($weights[0] + $weights[1]) / array_sum($weights), 0.001);
        $people = (new Crowd($crowd, Pack::blank(), 'a'))->people();
        $draws = new Draws(
            array_map(static fn (float $one): float => $one / array_sum($weights), $weights),
            array_map(static fn (Person $one): int => $wrote[$one->login] ?? 0, $people),
        );
        self::assertGreaterThan(5, min($draws->shares) * 4_000, 'enough of each to compare');
        // The .999 quantile by the NIST/SEMATECH e-Handbook, 1.3.6.7.4: 43.820 for 19 degrees of freedom.
        self::assertLessThan(43.820, $draws->chiSquare());
    }

    public function test_habits_have_their_shares(): void
    {
        $crowd = new CrowdDescription(30, 60, 6_000, stays: 0, habits: ['links' => 30, 'shouts' => 20]);
        $came = ['rest' => 0, 'links' => 0, 'shouts' => 0];
        foreach (self::events($crowd) as $one) {
            $text = $one->line()->text ?? '';
            $came[match (true) {
                str_contains($text, '.example/') => 'links',
                mb_strtoupper($text) === $text && mb_strtolower($text) !== $text => 'shouts',
                default => 'rest',
            }]++;
        }
        // 13.816 for two degrees of freedom, likewise.
        self::assertLessThan(13.816, (new Draws([0.5, 0.3, 0.2], array_values($came)))->chiSquare());
    }

    public function test_a_rush_has_its_pace_and_a_quiet_hour_none(): void
    {
        $crowd = new CrowdDescription(10, 90, 5_000, stays: 0, habits: [], phases: [
            new CrowdPhase(30, 60, 400),
            new CrowdPhase(60, 90, 0),
        ]);
        $thirds = [0, 0, 0];
        foreach (self::events($crowd) as $one) {
            $thirds[min(2, intdiv($one->at()->millis - self::start()->millis, 30 * 60_000))]++;
        }
        self::assertLessThanOrEqual(1, $thirds[2], 'at most the last moment itself');
        // 10.828 for one degree of freedom, likewise.
        self::assertLessThan(10.828, (new Draws([0.2, 0.8], [$thirds[0], $thirds[1] + $thirds[2]]))->chiSquare());
    }

    public function test_people_come_and_go_and_a_few_are_here_at_a_time(): void
    {
        $crowd = new CrowdDescription(400, 120, 4_000, busiestTenth: 10, stays: 10, habits: []);
        $quarter = 0;
        $all = [];
        foreach (self::events($crowd) as $one) {
            $all[$one->person()->login ?? ''] = true;
            $quarter += $one->at()->millis - self::start()->millis < 5 * 60_000 ? 1 : 0;
        }
        self::assertGreaterThan(350, count($all), 'in two hours nearly everybody was here');
        $first = [];
        foreach (array_slice(self::events($crowd), 0, $quarter) as $one) {
            $first[$one->person()->login ?? ''] = true;
        }
        self::assertLessThan(300, count($first), 'in five minutes not');
    }

    public function test_a_raid_shouts_at_once_and_happenings_are_events(): void
    {
        $crowd = new CrowdDescription(5, 10, 50, habits: [], happenings: [
            new CrowdHappening(2, HappeningKind::Raid, 40),
            new CrowdHappening(3, HappeningKind::Category, text: 'Rigging'),
            new CrowdHappening(4, HappeningKind::Follow, 3),
            new CrowdHappening(5, HappeningKind::StreamEnds),
        ]);
        $known = array_map(
            static fn (Person $one): string => $one->login,
            (new Crowd($crowd, Pack::blank(), 'a'))->people(),
        );
        $raiders = $told = [];
        foreach (self::events($crowd) as $one) {
            if ($one instanceof Happening) {
                $told[] = $one->inWords();
            } elseif (! in_array($one->person()->login ?? '', $known, true)) {
                $raiders[] = $one->at()->millis - self::start()->millis;
            }
        }
        self::assertSame([
            'a raid of 40',
            'another category: Rigging',
            'somebody follows',
            'somebody follows',
            'somebody follows',
            'the stream breaks off',
        ], $told);
        self::assertCount(40, $raiders);
        self::assertGreaterThanOrEqual(120_000, min($raiders));
        self::assertLessThanOrEqual(135_000, max($raiders));
    }

    public function test_the_same_seed_is_the_same_crowd_and_another_is_another(): void
    {
        $pack = self::demo();
        $texts = static fn (string $seed): array => array_map(
            static fn (Event $one): string => $one->at()->iso()
                .($one->person()->login ?? '')
                .($one->line()->text ?? ''),
            iterator_to_array(
                (new Crowd(CrowdPreset::Raid->description(), $pack, $seed))->events(self::start()),
                false,
            ),
        );
        self::assertSame($texts('7'), $texts('7'));
        self::assertNotSame($texts('7'), $texts('8'));
        self::assertNotSame($texts('7 people'), $texts('7'));
    }

    public function test_its_lines_set_off_what_the_pack_has(): void
    {
        $pack = self::demo();
        $came = ['command' => 0, 'phrase' => 0, 'nothing' => 0];
        $crowd = new CrowdDescription(50, 60, 2_000, habits: ['commands' => 20, 'phrases' => 20]);
        foreach ((new Crowd($crowd, $pack, '1'))->events(self::start()) as $event) {
            $match = LineMatch::in($pack, $event->line()->text ?? '');
            $came[match (true) {
                $match instanceof TriggerMatch => 'command',
                $match instanceof PhraseMatch => 'phrase',
                default => 'nothing',
            }]++;
        }
        self::assertGreaterThan(300, $came['command']);
        self::assertGreaterThan(200, $came['phrase']);
        self::assertGreaterThan(900, $came['nothing']);
    }

    public function test_words_of_a_log_are_taken_up(): void
    {
        $crowd = new CrowdDescription(10, 10, 400, habits: []);
        $said = array_map(
            static fn (Event $one): string => $one->line()->text ?? '',
            iterator_to_array(
                (new Crowd($crowd, Pack::blank(), '1', ['varnish again?']))->events(self::start()),
                false,
            ),
        );
        self::assertGreaterThan(200, count(array_keys($said, 'varnish again?', true)));
    }

    public function test_every_habit_has_something_to_say_also_without_a_pack(): void
    {
        foreach (array_keys(Habits::all()) as $key) {
            foreach ([Pack::blank(), self::demo()] as $pack) {
                $crowd = new CrowdDescription(8, 5, 40, habits: [$key => 100]);
                $lines = array_filter(
                    iterator_to_array((new Crowd($crowd, $pack, '3'))->events(self::start()), false),
                    static fn (Event $one): bool => $one instanceof ChatLine,
                );
                self::assertGreaterThanOrEqual(40, count($lines), $key);
                foreach ($lines as $one) {
                    self::assertNotSame('', $one->text, $key);
                    self::assertStringNotContainsString('{', strtr($one->text, ['{{ 7 * 7 }}' => '']), $key);
                }
            }
        }
    }

    public function test_a_crowd_is_written_and_read_as_it_was(): void
    {
        foreach (CrowdPreset::cases() as $preset) {
            $written = json_encode(CrowdFormat::write($preset->description()), JSON_THROW_ON_ERROR);
            [$read, $findings] = CrowdFormat::read($written);
            self::assertSame([], $findings);
            self::assertEquals($preset->description(), $read);
            self::assertTrue(Schemas::takes('crowd', $written), $preset->value);
        }
        [$launch, $findings] = CrowdFormat::read((string) file_get_contents(self::EXAMPLES.'launch.crowd.yaml'));
        self::assertSame([], $findings);
        self::assertSame([200, 90, 6_000, 9], [
            $launch->people,
            $launch->minutes,
            $launch->lines,
            $launch->habits['commands'],
        ]);
    }

    public function test_what_makes_no_crowd_is_said_with_its_place(): void
    {
        [, $findings] = CrowdFormat::read(
            "format: silver-parrot-crowd\nversion: 1\npeople: 0\nhabits: {sings: 3}\n"
                ."phases: [{from: 9, to: 3, pace: 1}]\n"
                ."happenings: [{at: 1, wedding: 3}]\n",
        );
        self::assertSame(
            ['/people', '/habits/sings', '/phases/0/to', '/happenings/0/wedding', '/happenings/0'],
            array_map(static fn (Finding $one): string => $one->at, $findings),
        );
    }

    /** @return list<Event> */
    private static function events(CrowdDescription $crowd): array
    {
        return iterator_to_array((new Crowd($crowd, Pack::blank(), 'a'))->events(self::start()), false);
    }

    private static function demo(): Pack
    {
        return PackFormat::read((string) file_get_contents(self::EXAMPLES.'lantern-cove.pack.json'))[0];
    }

    private static function start(): Moment
    {
        return Moment::fromIso('2026-11-25T19:00:00Z') ?? new Moment(0);
    }
}
