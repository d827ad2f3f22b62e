<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Needs;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Parrot;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Lookup\Request;
use SilverParrot\Lookup\Web;
use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\PartialView;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Pack\Delivery;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Moment;
use SilverParrot\World as HeardIn;
use Tests\Core\Response\World;

final class DriverTest extends TestCase
{
    public function test_an_event_that_is_delivered_twice_changes_memory_once(): void
    {
        $pack = World::pack()->withCommand(Say::on('!plank', '[add 1 to counter.planks]')->gated(Cooldown::none()));
        $store = new InMemoryStore([Key::counter('planks')->id() => 3]);
        $driver = new Driver(new EventHandler, $store);
        $first = $driver->hear($this->line('!plank'), $this->world($pack))->outcome;
        self::assertInstanceOf(Outcome::class, $first);
        self::assertSame(['4'], $first->texts());
        self::assertInstanceOf(
            AlreadyHandled::class,
            $driver->hear($this->line('!plank'), $this->world($pack))->outcome,
        );
        self::assertSame(4, $store->values()[Key::counter('planks')->id()]);
    }

    public function test_an_answer_that_changes_nothing_goes_through_a_turn_all_the_same(): void
    {
        $pack = new Pack(
            World::pack()->channel,
            commands: [Say::on('!plain', 'as ever')->gated(Cooldown::none())],
            flood: new Flood(0, 0),
        );
        $driver = new Driver(new EventHandler, new InMemoryStore);
        $first = $driver->hear($this->line('!plain'), $this->world($pack))->outcome;
        self::assertSame(['as ever'], $first instanceof Outcome ? $first->texts() : null);
        self::assertInstanceOf(
            AlreadyHandled::class,
            $driver->hear($this->line('!plain'), $this->world($pack))->outcome,
        );
    }

    public function test_a_line_that_sets_nothing_off_reads_and_writes_nothing(): void
    {
        $store = new InMemoryStore;
        $carried = (new Driver(new EventHandler, $store))->hear(
            $this->line('good evening'),
            $this->world(World::pack()),
        );
        self::assertSame([], $carried->memory);
        self::assertSame([], $store->values());
    }

    public function test_the_outside_is_asked_once_for_equal_things_and_what_it_never_says_is_a_gap(): void
    {
        $pack = World::pack()->withCommand(
            Say::on(
                '!since',
                '[caller.followed or "?"] [caller.followed or "?"] [channel.title or "no title"] [add 1 to '
                    .'counter.planks]',
            )->gated(Cooldown::none()),
        );
        $web = new class implements Web
        {
            /** @var list<list<string>> */
            public array $asked = [];

            public function readings(array $requests): array
            {
                $this->asked[] = array_map(static fn (Request $request): string => $request->id, $requests);

                return array_fill_keys(end($this->asked), Gap::pending()) + [];
            }
        };
        $silent = $this->world($pack)->reading(new CannedReadings([], restIsDown: false));
        $carried = (new Driver(new EventHandler, new InMemoryStore))->hear($this->line('!since'), $silent, $web);
        self::assertInstanceOf(Outcome::class, $carried->outcome);
        self::assertSame(['? ? no title 1'], $carried->outcome->texts());
        self::assertSame(['person.followed.tamsin'], $web->asked[0]);
        self::assertLessThanOrEqual(Driver::ROUNDS, count($web->asked));
        $web = new class implements Web
        {
            public int $asked = 0;

            public function readings(array $requests): array
            {
                $this->asked += count($requests);

                return array_fill_keys(
                    array_map(static fn (Request $request): string => $request->id, $requests),
                    'yes',
                );
            }
        };
        $carried = (new Driver(new EventHandler, new InMemoryStore))->hear($this->line('!since'), $silent, $web);
        self::assertSame(2, $web->asked);
        self::assertSame(
            ['channel.title' => 'yes', 'person.followed.tamsin' => 'yes'],
            $carried->readings,
            'they are kept for whoever wants to hear the line again',
        );
    }

    public function test_a_parrot_that_never_has_enough_is_stopped(): void
    {
        $greedy = new class implements Parrot
        {
            private int $asked = 0;

            public function hear(Event $event, HeardIn $world): Needs
            {
                return Needs::keys(Key::counter('n'.$this->asked++));
            }
        };
        $this->expectException(\LogicException::class);
        (new Driver($greedy, new InMemoryStore))->hear($this->line('x'), $this->world(World::pack()));
    }

    public function test_a_look_up_is_not_asked_while_a_gate_may_be_closed(): void
    {
        $pack = World::pack()->withCommand(Say::on('!tide', '[lookup.tide.high] [counter.planks]'));
        $world = new HeardIn(
            $pack,
            new PartialView([]),
            new CannedReadings([], restIsDown: false),
            new Moment(0),
            new KeyedChance('1', 'e'),
            ChatProfile::stream(),
        );
        $needs = (new EventHandler)->hear($this->line('!tide'), $world);
        self::assertInstanceOf(Needs::class, $needs);
        self::assertSame([], $needs->requests);
        self::assertCount(5, $needs->reads->keys, 'two cooldowns, two floods and a counter in one round');
        $known = new PartialView(array_map(static fn (): ?int => null, $needs->reads->keys));
        $needs = (new EventHandler)->hear($this->line('!tide'), $world->remembering($known));
        self::assertInstanceOf(Needs::class, $needs);
        self::assertSame(
            ['lookup.tide.high'],
            array_map(static fn ($request): string => $request->id, $needs->requests),
        );
    }

    public function test_nothing_is_said_while_a_look_up_is_on_its_way_though_a_gap_may_stand(): void
    {
        $pack = World::pack()->withCommand(Say::on('!tide', '[lookup.tide.high | quiet as high]Mind the slipway.'));
        $known = new PartialView(
            array_fill_keys(
                [
                    Key::lastRun('!tide')->id(),
                    Key::lastRun('!tide', Owner::viewer('cast-tamsin'))->id(),
                    Key::recentAnswers()->id(),
                    Key::recentAnswers(Owner::viewer('cast-tamsin'))->id(),
                ],
                null,
            ),
        );
        $world = new HeardIn(
            $pack,
            $known,
            new CannedReadings([], restIsDown: false),
            new Moment(0),
            new KeyedChance('1', 'e'),
            ChatProfile::stream(),
        );
        $needs = (new EventHandler)->hear($this->line('!tide'), $world);
        self::assertInstanceOf(Needs::class, $needs);
        self::assertCount(1, $needs->requests);
        $outcome = (new EventHandler)->hear($this->line('!tide'), $world->reading(new CannedReadings));
        self::assertInstanceOf(Outcome::class, $outcome);
        self::assertSame(['Mind the slipway.'], $outcome->texts());
    }

    public function test_without_a_trace_the_same_is_said(): void
    {
        $pack = World::pack()->withCommand(Say::on('!x', '[roll 1000] [caller]', 'b'));
        $hear = fn (bool $traced): Outcome|Needs => (new EventHandler)->hear(
            $this->line('!x'),
            new HeardIn(
                $pack,
                new PartialView([
                    Key::lastRun('!x')->id() => null,
                    Key::lastRun('!x', Owner::viewer('cast-tamsin'))->id() => null,
                    Key::recentAnswers()->id() => null,
                    Key::recentAnswers(Owner::viewer('cast-tamsin'))->id() => null,
                ]),
                new CannedReadings,
                new Moment(0),
                new KeyedChance('1', 'e'),
                ChatProfile::stream(),
                $traced,
            ),
        );
        $with = $hear(true);
        $without = $hear(false);
        self::assertInstanceOf(Outcome::class, $with);
        self::assertInstanceOf(Outcome::class, $without);
        self::assertSame($with->texts(), $without->texts());
        self::assertNotNull($with->trace);
        self::assertNull($without->trace);
    }

    public function test_a_command_is_told_by_its_most_important_parts(): void
    {
        $parts = static fn (Command $command): array => array_map(
            (new MessageKeys)->of(...),
            CommandSummary::of($command)->parts,
        );
        $usual = ['summary.cooldown length.seconds 10', 'summary.cooldown-of-person length.once-minutes 1'];
        self::assertSame(['summary.anyone', ...$usual], $parts(Say::on('!a', 'x')));
        $counting = Say::on('!a', '[add 1 to counter.planks]', '[take 1 from counter.planks][clear counter.oars]')
            ->gated(new ForLevels(new LevelRule([], \SilverParrot\Chat\Level::Moderator)), Cooldown::none());
        self::assertSame(
            [
                'summary.levels moderators and up',
                'summary.no-cooldown',
                'summary.changes summary.and counter.planks counter.oars',
            ],
            $parts($counting),
        );
        $whispered = Say::on('!a', 'x')
            ->gated(
                new ForLevels(new LevelRule([], \SilverParrot\Chat\Level::Streamer)),
                new Cooldown(90, 7200),
                new Enabled(false),
            )
            ->delivered(new Delivery(voice: Voice::Streamer, place: Place::Whisper))
            ->described(new CommandMetadata(listed: false));
        self::assertSame(
            [
                'summary.levels the streamer',
                'summary.cooldown length.seconds 90',
                'summary.cooldown-of-person length.once-hours 2',
                'summary.place-whisper',
                'summary.voice-streamer',
            ],
            $parts($whispered),
        );
        $summary = CommandSummary::of($whispered);
        self::assertSame([false, false], [$summary->isOn, $summary->isListed]);
    }

    private function line(string $text): ChatLine
    {
        return new ChatLine('e', World::people()[0]->person(), $text, new Moment(0));
    }

    private function world(Pack $pack): HeardIn
    {
        return new HeardIn(
            $pack,
            new PartialView([]),
            new CannedReadings,
            new Moment(0),
            new KeyedChance('1', 'e'),
            ChatProfile::stream(),
        );
    }
}
