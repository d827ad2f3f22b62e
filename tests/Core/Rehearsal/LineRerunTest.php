<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Key;
use SilverParrot\Rehearsal\LineRerun;
use SilverParrot\Value\Moment;
use SilverParrot\World as HeardIn;
use Tests\Core\Response\World;

final class LineRerunTest extends TestCase
{
    public function test_it_says_the_same_however_memory_went_on_and_a_draft_sees_the_rest_as_it_is_now(): void
    {
        $pack = World::pack()->withCommand(
            Say::on('!mix', '[add 1 to counter.planks] [roll 1000000] [list.knots] [channel.category] [target]')->gated(
                new Cooldown(5),
            ),
        );
        $store = new InMemoryStore(World::situation($pack)->memory);
        $line = new ChatLine(
            'm-1',
            Person::known('account:pia', 'pia', 'Pia', Levels::of()),
            '!mix @odo',
            Moment::fromIso(World::NOW) ?? new Moment(0),
        );
        $readings = World::situation($pack)->readings();
        $carried = (new Driver(new EventHandler, $store))->hear(
            $line,
            new HeardIn(
                $pack,
                new CompleteView,
                $readings,
                $line->at,
                new KeyedChance('7', $line->key),
                ChatProfile::stream(),
            ),
        );
        self::assertInstanceOf(Outcome::class, $carried->outcome);
        // Memory goes on; the cooldown alone would close the gate now.
        (new Driver(new EventHandler, $store))->hear(
            new ChatLine('m-2', $line->by, '!mix', $line->at->plusMillis(60_000)),
            new HeardIn(
                $pack,
                new CompleteView,
                $readings,
                $line->at->plusMillis(60_000),
                new KeyedChance('7', 'm-2'),
                ChatProfile::stream(),
            ),
        );

        $again = new LineRerun('7', ChatProfile::stream(), $store, ['title' => 'now']);
        $outcome = $again->by($pack, $line, $carried->memory, $carried->readings, traced: true);
        self::assertSame($carried->outcome->texts(), $outcome->texts());
        self::assertEquals($carried->outcome->changes, $outcome->changes);
        self::assertNotNull($outcome->trace);
        self::assertSame(5, $store->values()[Key::counter('planks')->id()], 'hearing again keeps nothing');

        $draft = $pack->withCommand(
            Say::on('!mix', '[counter.planks] [counter.ballast] [channel.title] [channel.category]'),
            '!mix',
        );
        self::assertSame(
            ['3 10 now Planking'],
            $again->by($draft, $line, $carried->memory, $carried->readings)->texts(),
        );
    }
}
