<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Awaited;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Gates\Open;
use SilverParrot\Hearing\Gates\Pending;
use SilverParrot\Hearing\Gates\StreamState;
use SilverParrot\Hearing\Gates\WhileStream;
use SilverParrot\Hearing\GoesOn;
use SilverParrot\Hearing\Needs;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PartialView;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Gates;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;
use SilverParrot\World as HeardIn;
use Tests\Core\Hearing\Fixture\TestSetting;
use Tests\Core\Hearing\Fixture\TestStep;
use Tests\Core\Response\World;

/** What gates keep, what steps bring about, and what happens later. */
final class GatesAndStepsTest extends TestCase
{
    private const START = 1_764_064_800_000;

    public function test_a_cost_and_a_verb_on_the_same_field_are_both_taken(): void
    {
        $key = Key::field('pebbles', 'cast-tamsin');
        $command = Say::on('!a', '[take 5 from caller.pebbles] left')->gated(Cooldown::none(), self::costs($key, 10));
        $outcome = $this->hear($command, [$key->id() => 40]);
        self::assertSame(['25 left'], $outcome->texts());
        self::assertSame([[40, 25]], $this->changesOf($outcome, $key));
    }

    public function test_a_cost_is_kept_on_success_only_and_a_cooldown_always(): void
    {
        $key = Key::field('pebbles', 'cast-tamsin');
        $command = Say::on('!a', '[1 / 0]')->gated(new Cooldown(10, 0), self::costs($key, 10));
        $outcome = $this->hear($command, [$key->id() => 40]);
        self::assertNotNull($outcome->failed);
        self::assertSame([], $this->changesOf($outcome, $key));
        self::assertSame([[null, self::START]], $this->changesOf($outcome, Key::lastRun('!a')));
    }

    public function test_what_closes_can_keep_that_it_did_and_its_refusal_names_its_data(): void
    {
        $key = Key::counter('planks');
        $unlucky = new TestSetting(
            static fn (GateContext $context): GateRefusal => new GateRefusal(
                'chance',
                'chance',
                ['in' => 3],
                ['left' => 2],
                TestSetting::refusal(),
                [new Change($key, 3, 4, 'counter.planks', 'channel')],
            ),
        );
        $outcome = $this->hear(
            Say::on('!a', 'won')
                ->gated($unlucky)
                ->refusing(TestSetting::refusal(), 'no: [outcome.reason], [outcome.left] left'),
            [],
        );
        self::assertSame([['no: refusals.chance.reason 3, 2 '
            .'left'], 'chance'], [$outcome->texts(), $outcome->closed?->code]);
        self::assertSame([[3, 4]], $this->changesOf($outcome, $key));
        self::assertSame([], $this->changesOf($outcome, Key::lastRun('!a')), 'what did not run has no cooldown');
        // Without a reply it is kept all the same.
        self::assertSame([[3, 4]], $this->changesOf($this->hear(Say::on('!a', 'won')->gated($unlucky), []), $key));
    }

    public function test_a_gate_that_waits_leaves_those_behind_it_undecided_and_asks_for_its_own_in_the_same_round(): void
    {
        $waits = new TestSetting(
            static fn (GateContext $context): Open|Pending => $context->world->readings->read(
                Request::channel('live'),
            ) === true
                ? new Open
                : Pending::request(Request::channel('live')),
        );
        $command = Say::on('!a', '[counter.planks] [lookup.tide.high]')->gated(new Cooldown(10, 60), $waits);
        $world = $this->world($command, new PartialView([]), new CannedReadings([], restIsDown: false));
        $needs = (new EventHandler)->hear($this->line('!a'), $world);
        self::assertInstanceOf(Needs::class, $needs);
        self::assertSame(
            ['channel.live'],
            array_map(static fn (Request $one): string => $one->id, $needs->requests),
            'look-ups wait until the gates are open',
        );
        self::assertContains(Key::counter('planks')->id(), array_keys($needs->reads->keys));
        self::assertContains(Key::lastRun('!a')->id(), array_keys($needs->reads->keys));
        // One that is closed behind it may be told only when it is known that those before it are open.
        $shut = new TestSetting(static fn (): GateRefusal => new GateRefusal('test', 'test'));
        self::assertInstanceOf(
            Needs::class,
            (new EventHandler)->hear(
                $this->line('!a'),
                $this->world(
                    Say::on('!a', 'x')->gated(new Cooldown(10, 60), $shut),
                    new PartialView([]),
                    new CannedReadings,
                ),
            ),
        );
        // One that is closed for good before anything is asked ends it there.
        $closed = (new EventHandler)->hear(
            $this->line('!a'),
            $this->world(
                $command->gated(ForLevels::atLeast(\SilverParrot\Chat\Level::Streamer)),
                new PartialView([]),
                new CannedReadings([], restIsDown: false),
            ),
        );
        self::assertSame('level', $closed instanceof Outcome ? $closed->closed?->code : null);
    }

    public function test_what_no_person_set_off_is_refused_to_nobody_and_counts_for_the_channel_alone(): void
    {
        $event = new class implements Event
        {
            public function key(): string
            {
                return 'timer 1';
            }

            public function at(): Moment
            {
                return new Moment(1);
            }

            public function person(): ?Person
            {
                return null;
            }

            public function line(): ?ChatLine
            {
                return null;
            }
        };
        $command = Say::on('!a', 'x')->gated(ForLevels::atLeast(\SilverParrot\Chat\Level::Streamer));
        $context = new GateContext($command, $event, $this->world($command, new CompleteView, new CannedReadings));
        $kept = [];
        foreach (GateSettings::gates($command->gates) as $gate) {
            $open = $gate->stand($context);
            self::assertInstanceOf(Open::class, $open, $gate->name());
            array_push($kept, ...$open->kept);
        }
        self::assertSame(
            [Key::lastRun('!a')->id()],
            array_map(static fn (Change $change): string => $change->key->id(), $kept),
        );
        self::assertSame(
            [],
            (new EventHandler)->hear($event, $context->world) instanceof Outcome
                ? (new EventHandler)->hear($event, $context->world)->sayings
                : null,
            'nothing is set off by what nobody has written a command for',
        );
    }

    public function test_steps_run_one_after_another_see_what_was_changed_and_fail_together(): void
    {
        $steps = static fn (string $last): CommandResponse => new CommandResponse([
            new Say('[add 1 to counter.planks]'),
            new Say($last),
            TestStep::effect('bell'),
            new Say('rang'),
        ]);
        $outcome = $this->hear(Say::on('!a', $steps('now [counter.planks]')), [Key::counter('planks')->id() => 3]);
        self::assertSame(
            [['4', 'now 4'], [['rings' => 'bell']]],
            [
                $outcome->texts(),
                array_map(static fn (Awaited $one): array => $one->effect->toArray(), $outcome->effects),
            ],
            'what stands behind it waits for what comes of it',
        );
        self::assertSame(3, $outcome->effects[0]->then->step);
        $failed = $this->hear(Say::on('!a', $steps('[1 / 0]')), [Key::counter('planks')->id() => 3]);
        self::assertSame([[], [], []], [$failed->texts(), $failed->effects, $failed->authoredChanges()]);
    }

    public function test_a_pause_of_ten_seconds_is_waited_out_in_a_rehearsal_while_other_lines_go_on(): void
    {
        $response = new CommandResponse([
            new Say('[add 1 to counter.planks] [caller] begins'),
            TestStep::pause(10),
            new Say('[counter.planks] for [caller]: [words]'),
        ]);
        $pack = World::pack()
            ->withCommand(Say::on('!a', $response)->gated(Cooldown::none()))
            ->withCommand(Say::on('!b', '[add 5 to counter.planks]')->gated(Cooldown::none()));
        $report = Runner::run(
            new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream()),
            [
                new TimedLine(0, 'tamsin', '!a oak'),
                new TimedLine(4_000, 'bram', '!b'),
                new TimedLine(10_000, 'bram', '!b'),
                new TimedLine(10_001, 'bram', 'hi'),
            ],
            [],
            new Moment(self::START),
        );
        self::assertSame(
            [
                [0, 0, ['4 tamsin begins']],
                [1, 4_000, ['9']],
                [2, 10_000, ['14']],
                [null, 10_000, ['14 for tamsin: oak']],
                [3, 10_001, []],
            ],
            array_map(
                static fn (Heard $one): array => [$one->number, $one->line->millis, $one->outcome->texts()],
                $report->heard,
            ),
        );
        self::assertSame('!a oak', $report->heard[3]->line->text);
        self::assertSame(
            'line 0',
            $report->heard[3]->outcome->sayings[0]->answerTo,
            'it still answers the line that set it off',
        );
        self::assertSame($report->heard[4], $report->line(3));
    }

    public function test_a_command_that_is_gone_after_its_pause_says_no_more_and_each_stretch_fails_by_itself(): void
    {
        $command = Say::on(
            '!a',
            new CommandResponse([
                new Say('[add 1 to counter.planks]'),
                TestStep::pause(10),
                new Say('[1 / 0]'),
                TestStep::pause(10),
                new Say('never'),
            ]),
        );
        $first = $this->hear($command, [Key::counter('planks')->id() => 3]);
        self::assertSame([['4'], 1], [$first->texts(), count($first->later)]);
        $later = $first->later[0];
        self::assertInstanceOf(GoesOn::class, $later);
        self::assertSame(['e+2', self::START + 10_000], [$later->key(), $later->at()->millis]);
        $second = (new EventHandler)->hear(
            $later,
            $this->world($command, new CompleteView([Key::counter('planks')->id() => 4]), new CannedReadings),
        );
        self::assertInstanceOf(Outcome::class, $second);
        self::assertSame([[], true, []], [$second->texts(), $second->failed !== null, $second->later]);
        $gone = (new EventHandler)->hear(
            $later,
            $this->world(Say::on('!other', 'x'), new CompleteView, new CannedReadings),
        );
        self::assertSame([], $gone instanceof Outcome ? $gone->sayings : null);
    }

    public function test_a_new_trigger_is_another_word_for_the_same_command(): void
    {
        $before = Say::on('!a', 'x');
        $after = $before->on(new \SilverParrot\Pack\Triggers('!b'));
        $kept = $this->hear($before, [])->changes;
        $memory = array_combine(
            array_map(static fn (Change $change): string => $change->key->id(), $kept),
            array_map(static fn (Change $change): null|bool|int|string|array => $change->to, $kept),
        );
        self::assertSame('cooldown', $this->hear($after, $memory, '!b')->closed?->code);
    }

    public function test_every_setting_of_the_table_has_its_view_reads_what_it_writes_and_says_what_its_form_holds(): void
    {
        foreach (GateSettings::all(Gates::of()) as $setting) {
            self::assertFileExists(dirname(__DIR__, 3).'/resources/views/write/gates/'.$setting::key().'.blade.php');
            self::assertArrayHasKey($setting::key(), GateSettings::schema());
        }
        self::assertEquals(
            GateSettings::all(Gates::of()),
            GateSettings::all(
                GateSettings::read(\SilverParrot\Document\Document::of(GateSettings::write(Gates::of()))),
            ),
        );
    }

    private static function costs(Key $key, int $price): TestSetting
    {
        return new TestSetting(static function (GateContext $context) use ($key, $price): Open|Pending {
            if (! $context->world->memory->knows($key)) {
                return Pending::key($key);
            }
            $has = $context->world->memory->value($key);

            return new Open(
                keptOnSuccess: [new Change($key, $has, (is_int($has) ? $has : 0) - $price, 'viewer.pebbles', 'tamsin')],
            );
        });
    }

    public function test_what_is_for_while_the_stream_is_live_is_refused_offline_and_to_nobody_while_nobody_knows(): void
    {
        $command = Say::on('!a', 'x')
            ->gated(Cooldown::none(), new WhileStream(StreamState::Live))
            ->refusing(WhileStream::refusal(), 'not now, [outcome.reason]');
        $hear = fn (Command $command, ?bool $live, bool $restIsDown = true): Outcome|Needs => (new EventHandler)->hear(
            $this->line('!a'),
            $this->world(
                $command,
                new CompleteView,
                new CannedReadings($live === null ? [] : ['channel.live' => $live], $restIsDown),
            ),
        );
        $said = static fn (Outcome|Needs $heard): ?array => $heard instanceof Outcome
            ? [...$heard->texts(), $heard->closed?->code]
            : null;
        self::assertSame(['x', null], $said($hear($command, true)));
        self::assertSame(['not now, refusals.stream-live.reason', 'stream'], $said($hear($command, false)));
        self::assertSame(['x', null], $said($hear($command, null)), 'the service is down');
        self::assertNull($said($hear($command, null, false)), 'the service was not asked yet');
        $offline = $command->gated(new WhileStream(StreamState::Offline));
        self::assertSame(
            [['not now, refusals.stream-offline.reason', 'stream'], ['x', null]],
            [$said($hear($offline, true)), $said($hear($offline, false))],
        );
        self::assertInstanceOf(
            Outcome::class,
            $hear($command->gated(new WhileStream), null, false),
            'where it does not matter, nobody is asked',
        );
        self::assertEquals(
            [new Message('summary.anyone'), new Message('summary.stream-live'), new Message('summary.no-cooldown')],
            CommandSummary::of($command)->parts,
        );
    }

    /** @return list<array{mixed, mixed}> from and to */
    private function changesOf(Outcome $outcome, Key $key): array
    {
        return array_values(
            array_map(
                static fn (Change $change): array => [$change->from, $change->to],
                array_filter($outcome->changes, static fn (Change $change): bool => $change->key->id() === $key->id()),
            ),
        );
    }

    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  by key id */
    private function hear(Command $command, array $memory, string $line = '!a'): Outcome
    {
        $outcome = (new EventHandler)->hear(
            $this->line($line),
            $this->world($command, new CompleteView($memory), new CannedReadings),
        );
        self::assertInstanceOf(Outcome::class, $outcome);

        return $outcome;
    }

    private function line(string $text): ChatLine
    {
        return new ChatLine('e', World::people()[0]->person(), $text, new Moment(self::START));
    }

    private function world(Command $command, \SilverParrot\Memory\View $memory, CannedReadings $readings): HeardIn
    {
        return new HeardIn(
            World::pack()->withCommand($command),
            $memory,
            $readings,
            new Moment(self::START),
            new KeyedChance('1', 'e'),
            ChatProfile::stream(),
        );
    }
}
