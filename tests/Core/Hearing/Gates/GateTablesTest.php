<?php

declare(strict_types=1);

namespace Tests\Core\Hearing\Gates;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Document\Document;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Gates\AtMost;
use SilverParrot\Hearing\Gates\ByLevel;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Cost;
use SilverParrot\Hearing\Gates\CostWithoutPoints;
use SilverParrot\Hearing\Gates\Dates;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\GateSetting;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Gates\Held;
use SilverParrot\Hearing\Gates\HeldKind;
use SilverParrot\Hearing\Gates\HeldThing;
use SilverParrot\Hearing\Gates\HeldUnknown;
use SilverParrot\Hearing\Gates\Hours;
use SilverParrot\Hearing\Gates\InCategory;
use SilverParrot\Hearing\Gates\NumberOfPerson;
use SilverParrot\Hearing\Gates\ServiceNumber;
use SilverParrot\Hearing\Gates\Snoozed;
use SilverParrot\Hearing\Gates\TypedIn;
use SilverParrot\Hearing\Gates\TypedNeed;
use SilverParrot\Hearing\Gates\WhereTyped;
use SilverParrot\Hearing\Gates\WordsNeeded;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\PartialView;
use SilverParrot\Pack\Gates;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use SilverParrot\World as HeardIn;
use Tests\Core\Response\World;

/** Each gate against each of its answers: who said what, when, with what behind them; and which gate closed. */
final class GateTablesTest extends TestCase
{
    /**
     * A Wednesday, 09:00 in UTC. Tamsin holds nothing above everyone, 40 pebbles and two lanterns; Bram is a moderator;
     * Odo subscribes with tier 2; Wren is the streamer.
     *
     * @return iterable<string, array{GateSetting, array<string, string>}> by "who: line", what closes it
     */
    public static function tables(): iterable
    {
        $levels = static fn (string $tamsin, string $odo, string $bram): array => [
            'tamsin: !a' => $tamsin,
            'odo: !a' => $odo,
            'bram: !a' => $bram,
            'wren: !a' => '',
        ];
        yield 'at least' => [ForLevels::atLeast(Level::Subscriber), $levels('level', '', '')];
        yield 'any of' => [ForLevels::anyOf(Level::Subscriber), $levels('level', '', 'level')];
        yield 'persons alone' => [ForLevels::persons('ODO'), $levels('level', '', 'level')];
        yield 'persons besides' => [
            new ForLevels(new LevelRule(atLeast: Level::Moderator), ['tamsin']),
            $levels('', 'level', ''),
        ];
        yield 'tier' => [new ServiceNumber(NumberOfPerson::Tier, 2), $levels('number', '', 'number')];
        yield 'an old account' => [new ServiceNumber(NumberOfPerson::AccountDays, 2_190), ['tamsin: !a' => '']];
        yield 'not old enough' => [new ServiceNumber(NumberOfPerson::AccountDays, 2_193), ['tamsin: !a' => 'number']];
        yield 'followed' => [
            new ServiceNumber(NumberOfPerson::FollowedDays, 7),
            ['tamsin: !a' => 'number', 'odo: !a' => '', 'bram: !a' => ''],
        ];
        yield 'category' => [new InCategory(['Rigging', 'planking']), ['tamsin: !a' => '']];
        yield 'another category' => [new InCategory(['Rigging']), ['tamsin: !a' => 'category']];
        yield 'not in the category' => [new InCategory(['PLANKING'], true), ['tamsin: !a' => 'category']];
        yield 'in any but another' => [new InCategory(['Rigging'], true), ['tamsin: !a' => '']];
        $both = ['tamsin: !a' => '', 'tamsin whispers: !a' => ''];
        yield 'in the chat' => [new WhereTyped, ['tamsin whispers: !a' => 'typed_in'] + $both];
        yield 'as a whisper' => [new WhereTyped(TypedIn::Whisper), ['tamsin: !a' => 'typed_in'] + $both];
        yield 'in either place' => [new WhereTyped(TypedIn::Either), $both];
        yield 'words' => [new WordsNeeded(TypedNeed::Words), ['tamsin: !a' => 'needs', 'tamsin: !a  b ' => '']];
        yield 'a target' => [
            new WordsNeeded(TypedNeed::Target),
            ['tamsin: !a' => 'needs', 'tamsin: !a ???' => 'needs', 'tamsin: !a nobody_yet' => ''],
        ];
        yield 'somebody known' => [
            new WordsNeeded(TypedNeed::Known),
            ['tamsin: !a' => 'needs', 'tamsin: !a nobody_yet' => 'needs', 'tamsin: !a @Bram' => ''],
        ];
        yield 'somebody here' => [
            new WordsNeeded(TypedNeed::Here),
            ['tamsin: !a @tamsin' => '', 'tamsin: !a @bram' => '', 'tamsin: !a @odo' => 'needs'],
        ];
        yield 'a field' => [
            new Held([new HeldThing(HeldKind::Field, 'Boat')]),
            ['tamsin: !a' => 'held', 'bram: !a' => ''],
        ];
        yield 'a field that says something' => [
            new Held([new HeldThing(HeldKind::Field, 'boat', is: 'heron')]),
            ['bram: !a' => ''],
        ];
        yield 'a field that says something else' => [
            new Held([new HeldThing(HeldKind::Field, 'boat', is: 'Tern')]),
            ['bram: !a' => 'held'],
        ];
        yield 'points' => [
            new Held([new HeldThing(HeldKind::Field, 'pebbles', 40)]),
            ['tamsin: !a' => '', 'bram: !a' => 'held'],
        ];
        yield 'a rank' => [
            new Held([new HeldThing(HeldKind::Rank, 'bosun')]),
            ['tamsin: !a' => '', 'bram: !a' => 'held'],
        ];
        yield 'goods' => [new Held([new HeldThing(HeldKind::Goods, 'lantern', 2)]), ['tamsin: !a' => '']];
        yield 'more goods' => [new Held([new HeldThing(HeldKind::Goods, 'lantern', 3)]), ['tamsin: !a' => 'held']];
        yield 'all of it' => [
            new Held([new HeldThing(HeldKind::Rank, 'Bosun'), new HeldThing(HeldKind::Goods, 'rope')]),
            ['tamsin: !a' => 'held'],
        ];
        yield 'what there is not' => [new Held([new HeldThing(HeldKind::Goods, 'kite')]), ['tamsin: !a' => 'held']];
        yield 'cost' => [new Cost(40), ['tamsin: !a' => '', 'bram: !a' => 'cost', 'odo: !a' => 'cost']];
        yield 'cost by level' => [
            new Cost(41, 'pebbles', ByLevel::of(['moderator' => 0, 'subscriber' => 5])),
            ['tamsin: !a' => 'cost', 'bram: !a' => '', 'odo: !a' => ''],
        ];
        yield 'hours' => [new Hours('08:30', '09:30'), ['tamsin: !a' => '']];
        yield 'over' => [new Hours('08:00', '09:00'), ['tamsin: !a' => 'hours']];
        yield 'across midnight' => [new Hours('22:00', '09:01'), ['tamsin: !a' => '']];
        yield 'the day it begins on' => [new Hours('22:00', '09:01', ['tue']), ['tamsin: !a' => '']];
        yield 'the day it ends on' => [new Hours('22:00', '09:01', ['wed']), ['tamsin: !a' => 'hours']];
        yield 'a day' => [new Hours(days: ['wed']), ['tamsin: !a' => '']];
        yield 'other days' => [new Hours(days: ['mon', 'thu']), ['tamsin: !a' => 'hours']];
        yield 'from a date' => [new Dates('2026-11-25'), ['tamsin: !a' => '']];
        yield 'not yet' => [new Dates('2026-11-25T09:01'), ['tamsin: !a' => 'dates']];
        yield 'the last day' => [new Dates('2026-11-01', '2026-11-25'), ['tamsin: !a' => '']];
        yield 'tonight is over' => [new Dates(until: '2026-11-25T09:00'), ['tamsin: !a' => 'dates']];
        yield 'snoozed in this stream' => [
            new Snoozed(Moment::fromIso('2026-11-25T08:00:00Z')),
            ['tamsin: !a' => 'snoozed'],
        ];
        yield 'snoozed before it' => [
            new Snoozed(Moment::fromIso('2026-11-25T06:00:00Z')),
            ['tamsin: !a' => ''],
        ];
        yield 'once a stream' => [new AtMost(stream: 3), ['tamsin: !a' => 'at-most', 'odo: !a' => 'at-most']];
        yield 'four times a stream' => [new AtMost(stream: 4), ['tamsin: !a' => '']];
        yield 'for each person' => [new AtMost(personStream: 2), ['tamsin: !a' => 'at-most', 'odo: !a' => '']];
        yield 'that of the last stream' => [new AtMost(personDay: 1), ['tamsin: !a' => '']];
    }

    /** @param  array<string, string>  $answers */
    #[DataProvider('tables')]
    public function test_a_gate_closes_for_whom_and_when_its_table_says(GateSetting $setting, array $answers): void
    {
        $command = Say::on('!a', 'done')->gated(Cooldown::none(), $setting);
        foreach ($answers as $said => $code) {
            [$who, $line] = explode(': ', $said, 2);
            $outcome = self::hear($command, $who, $line);
            self::assertSame($code, $outcome->closed->code ?? '', $said);
            self::assertSame($code === '' ? ['done'] : [], $outcome->texts(), $said);
        }
        // Nothing of it is lost in a document.
        $written = GateSettings::write(Gates::of($setting));
        $document = Document::of($written);
        self::assertEquals(Gates::of($setting), GateSettings::read($document), json_encode($written) ?: '');
        self::assertSame([], $document->findings());
    }

    public function test_the_first_gate_that_is_closed_is_the_reason_in_the_documented_order(): void
    {
        $closed = [
            'snoozed' => new Snoozed(new Moment(0)),
            'levels' => ForLevels::atLeast(Level::Streamer),
            'number' => new ServiceNumber(NumberOfPerson::Tier, 3),
            'held' => new Held([new HeldThing(HeldKind::Goods, 'rope')]),
            'category' => new InCategory(['Rigging']),
            'hours' => new Hours('03:00', '04:00'),
            'dates' => new Dates('2027-01-01'),
            'typed_in' => new WhereTyped(TypedIn::Whisper),
            'needs' => new WordsNeeded(TypedNeed::Words),
            'at_most' => new AtMost(stream: 1),
            'cost' => new Cost(1_000),
        ];
        // The moment of the snooze lies after any stream: the first of all.
        $closed['snoozed'] = new Snoozed(Moment::fromIso('2026-11-25T08:59:00Z'));
        $expected = ['snoozed', 'level', 'number', 'held', 'category', 'hours', 'dates'];
        $expected = [...$expected, 'typed_in', 'needs', 'at-most', 'cost'];
        $settings = array_values($closed);
        foreach ($expected as $place => $code) {
            $command = Say::on('!a', 'x')->gated(Cooldown::none(), ...array_slice($settings, $place));
            self::assertSame($code, self::hear($command, 'tamsin', '!a')->closed?->code);
        }
        $documented = (string) file_get_contents(dirname(__DIR__, 4).'/docs/formats.md');
        self::assertStringContainsString(
            implode(', ', array_map(static fn (string $key): string => "`$key`", GateSettings::keys())),
            $documented,
        );
    }

    public function test_where_nothing_is_fetched_yet_a_gate_waits_and_nobody_is_refused_where_the_service_is_down(): void
    {
        foreach ([new InCategory(['Rigging']), new ServiceNumber(NumberOfPerson::FollowedDays, 9)] as $setting) {
            $command = Say::on('!a', 'x')->gated(Cooldown::none(), $setting);
            $hear = static fn (bool $isDown) => (new EventHandler)->hear(
                self::line('tamsin', '!a', 0),
                self::world($command, new CompleteView, new CannedReadings([], $isDown)),
            );
            self::assertInstanceOf(\SilverParrot\Hearing\Needs::class, $hear(false));
            self::assertSame(['x'], $hear(true) instanceof Outcome ? $hear(true)->texts() : null);
        }
        $held = Say::on('!a', 'x')->gated(new Held([new HeldThing(HeldKind::Goods, 'rope')]), new AtMost(2, 2, 2));
        self::assertInstanceOf(
            \SilverParrot\Hearing\Needs::class,
            (new EventHandler)->hear(
                self::line('tamsin', '!a', 0),
                self::world($held, new PartialView([]), new CannedReadings),
            ),
        );
    }

    public function test_what_nobody_can_have_or_pay_is_found(): void
    {
        $told = static function (Pack $pack, GateSetting ...$settings): array {
            $pack = $pack->withCommands([Say::on('!a', 'x')->gated(...$settings)]);
            $at = CheckContext::at($pack, new CheckEnvironment);

            return array_map(
                static fn (Finding $one): string => "{$one->at} {$one->sentence()} {$one->mend()}",
                [...(new HeldUnknown)->look($at), ...(new CostWithoutPoints)->look($at)],
            );
        };
        $held = new Held([new HeldThing(HeldKind::Rank, 'Bosun'), new HeldThing(HeldKind::Goods, 'lanten')]);
        self::assertSame(
            [
                '/commands/0/held/1 !a is for those who have “lanten”, and nothing here is called so. '
                    .'Choose one that is there: “lantern” perhaps.',
                '/commands/0/cost !a costs points, and there are no such points here. '
                    .'Make a field that holds points, or let it cost nothing.',
            ],
            $told(World::pack(), $held, new Cost(5, 'boat')),
        );
        self::assertCount(3, $told(Pack::blank(), $held, new Cost(5)));
        self::assertStringNotContainsString('{', implode($told(Pack::blank(), $held)));
        self::assertSame([], $told(World::pack(), new Cost(5), new Held([new HeldThing(HeldKind::Field, 'points')])));
    }

    private static function hear(\SilverParrot\Pack\Command $command, string $who, string $line): Outcome
    {
        $pack = World::pack()->withCommand($command);
        $situation = World::situation($pack);
        $seen = static fn (string $login, string $at): array => [
            'last_seen' => $at,
        ] + (array) ($situation->memory[Key::person($login)->id()] ?? []);
        $memory = [
            Key::stream()->id() => ['number' => 7, 'on' => true, 'started' => '2026-11-25T06:55:00Z'],
            Key::successes('!a', 'stream', Owner::channel())->id() => ['period' => 'stream 7', 'times' => 3],
            Key::successes('!a', 'stream', Owner::viewer('cast-tamsin'))->id() => [
                'period' => 'stream 7',
                'times' => 2,
            ],
            Key::successes('!a', 'stream', Owner::viewer('cast-odo'))->id() => ['period' => 'stream 6', 'times' => 9],
            Key::successes('!a', 'day', Owner::viewer('cast-tamsin'))->id() => ['period' => '2026-11-24', 'times' => 9],
            Key::person('bram')->id() => $seen('bram', '2026-11-25T08:50:00Z'),
            Key::person('odo')->id() => $seen('odo', '2026-11-25T08:49:59Z'),
        ] + $situation->memory;
        $outcome = (new EventHandler)->hear(self::line($who, $line, 0), self::world(
            $command,
            new CompleteView($memory),
            new CannedReadings([
                'channel.category' => 'Planking',
                'person.account_made.tamsin' => '2020-11-25T09:00:00Z',
                'person.followed.tamsin' => null,
                'person.followed.odo' => '2026-11-18T09:00:00Z',
            ]),
        ));
        self::assertInstanceOf(Outcome::class, $outcome);

        return $outcome;
    }

    private static function line(string $who, string $text, int $seconds): ChatLine
    {
        [$who, $how] = explode(' ', $who, 2) + [1 => ''];
        foreach (World::people() as $member) {
            if ($member->login === $who) {
                return new ChatLine(
                    'e',
                    $member->person(),
                    $text,
                    self::now()->plusMillis($seconds * 1000),
                    isWhisper: $how === 'whispers',
                );
            }
        }
        self::fail("$who is not in the cast");
    }

    private static function now(): Moment
    {
        return Moment::fromIso(World::NOW) ?? new Moment(0);
    }

    private static function world(
        \SilverParrot\Pack\Command $command,
        \SilverParrot\Memory\View $memory,
        CannedReadings $readings,
    ): HeardIn {
        return new HeardIn(
            World::pack()->withCommand($command),
            $memory,
            $readings,
            self::now(),
            new KeyedChance('1', 'e'),
            ChatProfile::stream(),
        );
    }
}
