<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Saying;
use SilverParrot\Figures\Advice;
use SilverParrot\Figures\Evening;
use SilverParrot\Figures\EveningReport;
use SilverParrot\Figures\EveningRun;
use SilverParrot\Figures\HeardAgain;
use SilverParrot\Figures\Lane;
use SilverParrot\Figures\LaneKind;
use SilverParrot\Figures\Mark;
use SilverParrot\Figures\MarkKind;
use SilverParrot\Figures\Ranges;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Timer;
use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\Checkpoint;
use SilverParrot\Rehearsal\Crowd\Crowd;
use SilverParrot\Rehearsal\Crowd\CrowdFormat;
use SilverParrot\Rehearsal\Crowd\CrowdPreset;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\RehearsedOutbox;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;
use Tests\Core\Rehearsal\Schemas;

final class EveningTest extends TestCase
{
    private const PACK = <<<'YAML'
        format: silver-parrot-pack
        version: 2
        channel: {login: lantern_cove, name: Lantern Cove}
        flood: {person: 0, channel: 0}
        counters: [{name: planks, scope: channel}]
        fields: [{name: pebbles, type: points}]
        lists: [{name: woods, items: [{text: oak}, {text: larch}]}]
        timers: [{name: links, minutes: 10, lines: 2, offline_too: true, responses: [{text: "See the plan."}]}]
        commands:
          - {trigger: "!plank", cooldown: {channel: 60, person: 0}, responses: [{text: "[add 1 to counter.planks]"}]}
          - trigger: "!give"
            cooldown: {channel: 0, person: 0}
            responses: [{text: "[add 5 to caller.pebbles | quiet]Done."}]
          - {trigger: "!wood", cooldown: {channel: 0, person: 0}, responses: [{text: "[list.woods]"}]}
          - {trigger: "!fail", cooldown: {channel: 0, person: 0}, responses: [{text: "[1 / counter.planks]"}]}
          - trigger: "!greet"
            phrases: ["good evening"]
            cooldown: {channel: 0, person: 0}
            responses: [{text: "Ahoy."}]
        YAML;

    public function test_what_came_of_a_chat_is_counted_where_it_belongs(): void
    {
        $evening = self::evening(
            "+0s odo: !plank\n+10s odo: !plank\n+50s pia: !plank\n+70s odo: !plank\n+80s odo: good evening all\n"
                ."+90s odo: Good evening!\n+95s odo: nice weather\n+100s odo: !give\n+110s odo: !give\n"
                ."+120s pia: !give\n"
                ."+12m0s odo: what a night\n+12m1s pia: !fail\n",
        );
        self::assertSame(12, $evening->lines);
        // Two of the plank, two greetings, three gifts, the timer, and a plank by division.
        self::assertSame(9, $evening->said);
        self::assertSame(['channel cooldown' => 2], $evening->closed);
        self::assertSame(0, $evening->failed);
        self::assertEqualsWithDelta(9 / 21, $evening->share(), 1e-9);
        $plank = $evening->lanes['command !plank'];
        self::assertSame([4, 2, ['channel cooldown' => 2], 60_000], [
            $plank->asked,
            $plank->answered,
            $plank->closed,
            $plank->longestSilence,
        ]);
        self::assertSame(['good evening all', 'Good evening!'], $evening->lanes['phrase good evening']->lines);
        self::assertSame(1, $evening->lanes['timer links']->answered);
        self::assertSame([[0, 1], [70_000, 2]], $evening->steps['counter.planks']);
        self::assertSame(['odo' => 10, 'pia' => 5], $evening->gained['viewer.pebbles'] ?? reset($evening->gained));
        self::assertSame(['0', '2'], $evening->changed['counter.planks']);
        // “Ahoy.” after “Ahoy.”, “Done.” after “Done.”, twice.
        self::assertSame(3, $evening->same);
        self::assertSame(
            [MarkKind::Said, MarkKind::HeldBack, MarkKind::HeldBack, MarkKind::Said],
            array_map(static fn (Mark $one): MarkKind => $one->kind, array_slice($evening->marks, 0, 4)),
        );
        // Minutes 0, 1, 2 and 12: one, five, one, and two, of which one is the timer's.
        self::assertSame([2, 5], $evening->sayingsAMinute());
    }

    public function test_of_a_phrase_those_lines_are_shown_first_that_look_least_meant(): void
    {
        $lane = new Lane(LaneKind::Phrase, 'glue .. dry', '!glue');
        $command = new Lane(LaneKind::Command, '!glue', '!glue');
        $texts = [
            'glue dry?', 'is the glue dry', 'glue dry?', 'my uncle says the glue they sell by the river is never dry',
            '@pia the glue is dry', 'she wrote “glue is dry”', 'https://glue.example is dry', 'glue dry!',
            'the glue is dry now',
        ];
        foreach ($texts as $at => $text) {
            $lane->take(new Mark($at, $lane->key(), MarkKind::Said, "e$at", 'Odo', $text, ['In an hour.']));
            $command->take(new Mark($at, $command->key(), MarkKind::Said, "e$at", 'Odo', $text, ['In an hour.']));
        }
        self::assertSame([
            '@pia the glue is dry',
            'my uncle says the glue they sell by the river is never dry',
            'she wrote “glue is dry”',
            'https://glue.example is dry',
            'the glue is dry now',
        ], $lane->lines);
        self::assertSame(['glue dry?', 'is the glue dry'], array_slice($command->lines, 0, 2));
        self::assertSame([9, 5], [$lane->asked, count($command->lines)]);
    }

    public function test_draws_are_told_beside_what_was_to_be_expected(): void
    {
        $evening = self::evening(implode('', array_map(
            static fn (int $at): string => "+{$at}s odo: !wood\n",
            range(1, 200),
        )));
        [$woods] = $evening->draws();
        self::assertSame(200, $woods->total);
        self::assertSame([100.0, 100.0], array_column($woods->items, 2));
        self::assertSame(200, array_sum(array_column($woods->items, 1)));
        // One degree of freedom: the tail of z² is that of z, both sides (erfc; common practice).
        $z = abs($woods->items[0][1] - 100) / sqrt(50);
        self::assertEqualsWithDelta(self::bothTails($z), $woods->chance ?? -1, 1e-6);
    }

    public function test_the_outbox_paces_and_drops_as_on_the_air(): void
    {
        $outbox = new RehearsedOutbox(ChatProfile::stream(), isModerator: false);
        $say = static fn (int $count): array => array_map(
            static fn (int $one): Saying => new Saying("$one", answerTo: 'x'),
            range(1, $count),
        );
        $outbox->take($say(20), new Moment(0));
        self::assertSame([[], 0], [$outbox->waits, $outbox->dropped]);
        $outbox->take($say(5), new Moment(15_000));
        $outbox->until(new Moment(29_999));
        self::assertSame([], $outbox->waits);
        $outbox->until(new Moment(30_000));
        // The window is thirty seconds: fifteen are left.
        self::assertSame([15_000, 15_000, 15_000, 15_000, 15_000], $outbox->waits);
        $outbox->take($say(50), new Moment(31_000));
        // Fifteen at once, a whole window's worth of twenty may wait, and is too late when its time has come.
        self::assertSame(15, $outbox->dropped);
        $outbox->until(new Moment(120_000));
        self::assertSame(35, $outbox->dropped);
    }

    public function test_the_same_seed_is_the_same_report_to_the_byte_and_fits_its_schema(): void
    {
        $pack = PackFormat::read(
            (string) file_get_contents(__DIR__.'/../../../docs/examples/lantern-cove.pack.json'),
        )[0];
        $report = static function (string $seed) use ($pack): string {
            $start = self::start();
            $evening = (new EveningRun($pack, EveningRun::live(new InitialState, $start), ChatProfile::stream()))->hear(
                (new Crowd(CrowdPreset::Raid->description(), $pack, $seed))->events($start),
                $seed,
                $start,
                CrowdPreset::Raid->description()->length(),
            );

            return json_encode(
                EveningReport::of($evening, new MessageKeys) + ['expectations' => []],
                JSON_THROW_ON_ERROR,
            );
        };
        self::assertSame($report('3'), $report('3'));
        self::assertNotSame($report('3'), $report('4'));
        self::assertTrue(Schemas::takes('rehearsal', $report('3')));
    }

    public function test_an_evening_can_be_stopped_and_stands_as_far_as_it_came(): void
    {
        $pack = self::pack();
        $heard = [];
        $evening = (new EveningRun($pack, new InitialState, ChatProfile::stream()))->hear(
            (new Crowd(CrowdPreset::Busy->description(), $pack, '1'))->events(self::start()),
            '1',
            self::start(),
            null,
            static function (int $lines) use (&$heard): bool {
                $heard[] = $lines;

                return $lines < 1_300;
            },
        );
        self::assertGreaterThan(2, count($heard));
        self::assertGreaterThanOrEqual(1_300, $evening->lines);
        self::assertSame($evening->lines, $heard[count($heard) - 1]);
        self::assertLessThan(CrowdPreset::Busy->description()->lines, $evening->lines);
    }

    public function test_an_evening_in_which_nobody_writes_can_be_stopped_too(): void
    {
        $looks = 0;
        $timer = new Timer('minutely', [Say::response('Still here.')], 5, lines: 0);
        $evening = (new EveningRun(self::pack()->withTimers([$timer]), new InitialState(channel: [
            'live' => true,
        ]), ChatProfile::stream()))->hear(
            [],
            '1',
            self::start(),
            86_400_000 * 7,
            static function () use (&$looks): bool {
                return ++$looks < 3;
            },
        );
        self::assertSame(3, $looks);
        self::assertSame(1_500, $evening->said);
    }

    /** From a checkpoint on, an evening goes on as if all before it had been heard: memory, timers, stream, draws. */
    public function test_a_moment_is_the_same_from_a_checkpoint_as_from_the_start(): void
    {
        $pack = PackFormat::read(
            (string) file_get_contents(__DIR__.'/../../../docs/examples/lantern-cove.pack.json'),
        )[0];
        $start = self::start();
        $crowd = CrowdFormat::read(json_encode(['lines' => 12_000, 'minutes' => 150] + CrowdFormat::write(
            CrowdPreset::Raid->description(),
        ), JSON_THROW_ON_ERROR))[0];
        $events = static fn (): iterable => (new Crowd($crowd, $pack, '5'))->events($start);
        $run = new EveningRun($pack, EveningRun::live(new InitialState, $start), ChatProfile::stream());
        $checkpoints = [];
        $evening = $run->hear($events(), '5', $start, $crowd->length(), keep: static function (Checkpoint $one) use (
            &$checkpoints,
        ): void {
            $checkpoints[] = Checkpoint::fromJson($one->toJson()) ?? self::fail();
        });
        self::assertCount(2, $checkpoints);
        $late = array_values(array_filter(
            $evening->marks,
            static fn (Mark $one): bool => $one->millis > $checkpoints[0]->clock - $start->millis,
        ));
        $told = static fn (?HeardAgain $one): string => serialize($one === null ? 'not there' : [
            $one->heard->outcome->texts(),
            $one->heard->outcome->closed?->gate,
            array_column($one->heard->outcome->trace?->entries() ?? [], 'data'),
            $one->memory,
            $one->readings,
        ]);
        $kinds = [];
        for ($place = 0; $place < count($late); $place += intdiv(count($late), 8)) {
            $mark = $late[$place];
            $near = array_values(array_filter(
                $checkpoints,
                static fn (Checkpoint $one): bool => $one->clock - $start->millis < $mark->millis,
            ));
            $of = static fn (array $from): ?HeardAgain => $run->moment(
                $events(),
                '5',
                $start,
                $mark->event,
                $crowd->length(),
                $from,
            );
            self::assertSame($told($of([])), $told($again = $of($near)), $mark->event);
            self::assertSame($mark->said, $again?->heard->outcome->texts());
            $kinds[$mark->kind->value] = true;
        }
        self::assertGreaterThan(1, count($kinds));
    }

    public function test_advice_is_tried_by_hearing_the_evening_again_and_leaves_moderators_alone(): void
    {
        $chat = '';
        for ($at = 0; $at < 600; $at += 10) {
            $chat .= "+{$at}s p".($at / 10 % 7).": !wood\n+{$at}s mo: !mod\n";
        }
        $mod = Say::on('!mod', 'Aye.')->gated(Cooldown::none(), ForLevels::atLeast(Level::Moderator));
        $pack = self::pack()->withCommand($mod);
        $hear = static function (Pack $pack) use ($chat): Evening {
            $rehearsal = new Rehearsal($pack, new InitialState, '1', ChatProfile::stream(), false);
            $evening = new Evening($pack, ChatProfile::stream(), self::start());
            $file = ChatFile::read("# mo: moderator\n$chat");
            array_map($evening->take(...), Runner::run($rehearsal, $file->lines, $file->levels, self::start())->heard);

            return $evening;
        };
        $before = $hear($pack);
        foreach (['!wood', '!mod'] as $trigger) {
            self::assertSame(60, $before->lanes["command $trigger"]->answered);
        }
        $proposals = Advice::of($before, $pack);
        self::assertSame(['!wood'], array_column($proposals, 'name'));
        $tried = $proposals[0]->tried($before, $hear($proposals[0]->pack));
        // Asked every ten seconds, answered every thirty: one of three, and whoever asks first waits twenty.
        self::assertSame([30, 60, 20, 7, 20], [
            $tried['seconds'],
            $tried['before'],
            $tried['after'],
            $tried['waited'],
            $tried['longest'],
        ]);
        self::assertSame(40, $tried['said_before'] - $tried['said_after']);
    }

    public function test_ranges_hold_what_an_evening_has_not_as_none(): void
    {
        $of = static fn (int $lines, array $closed): array => [
            'lines' => $lines,
            'said' => 1,
            'closed' => (object) $closed,
            'failed' => 0,
            'share' => 0.5,
            'commands' => [['name' => '!tide', 'asked' => $lines, 'answered' => 1]],
        ];
        $ranges = Ranges::of([$of(3, ['level' => 2]), $of(9, []), $of(5, [])]);
        self::assertSame(['least' => 3, 'middle' => 5, 'most' => 9], $ranges['lines']);
        self::assertSame(['least' => 0, 'middle' => 0, 'most' => 2], $ranges['closed by level']);
        self::assertSame(['least' => 3, 'middle' => 5, 'most' => 9], $ranges['!tide asked']);
    }

    private static function evening(string $chat): Evening
    {
        $file = ChatFile::read($chat);
        $pack = self::pack();
        $evening = new Evening($pack, ChatProfile::stream(), self::start());
        $heard = Runner::run(
            new Rehearsal($pack, new InitialState, '1', ChatProfile::stream(), false),
            $file->lines,
            [],
            self::start(),
        )->heard;
        array_map($evening->take(...), $heard);
        $evening->end(0);

        return $evening;
    }

    private static function pack(): Pack
    {
        [$pack, $findings] = PackFormat::read(self::PACK);
        self::assertSame([], $findings);

        return $pack;
    }

    /** By Simpson's rule on the density of the normal distribution. */
    private static function bothTails(float $z): float
    {
        $sum = 0.0;
        $step = $z / 1_000;
        for ($place = 0; $place <= 1_000; $place++) {
            $weight = $place === 0 || $place === 1_000 ? 1 : 2 + 2 * ($place % 2);
            $sum += $weight * exp(-(($place * $step) ** 2) / 2);
        }

        return 1 - 2 * $sum * $step / 3 / sqrt(2 * M_PI);
    }

    private static function start(): Moment
    {
        return Moment::fromIso('2026-11-25T19:00:00Z') ?? new Moment(0);
    }
}
