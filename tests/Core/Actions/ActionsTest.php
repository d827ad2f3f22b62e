<?php

declare(strict_types=1);

namespace Tests\Core\Actions;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Actions\ActionDone;
use SilverParrot\Actions\CheckIn;
use SilverParrot\Actions\GivePoints;
use SilverParrot\Actions\HandOut;
use SilverParrot\Actions\Holdings;
use SilverParrot\Actions\TradeGoods;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Goods;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;

final class ActionsTest extends TestCase
{
    public function test_giving_is_answered_whatever_is_typed(): void
    {
        $unit = new Field('pebbles', FieldType::Points, leastGift: 5);
        $answers = [
            '10' => 'done',
            'all' => 'done',
            'ALL ' => 'done',
            '４０' => 'done',
            '41' => 'not-enough',
            '4' => 'too-little',
            '0' => 'nothing-to-give',
            '-5' => 'negative',
            '2.5' => 'no-amount',
            'some' => 'no-amount',
            '' => 'no-amount',
            '1e9' => 'no-amount',
        ];
        foreach ($answers as $typed => $expected) {
            $store = new InMemoryStore([Key::field('pebbles', 'odo')->id() => 40]);
            $give = new GivePoints($unit, self::person('odo'), self::person('bram'));
            $done = self::turn($store, $give->reads(), fn (View $memory) => $give->do((string) $typed, $memory));
            self::assertSame($expected, self::told($done), "“{$typed}”");
            self::assertSame(40, self::sum($store, $unit, 'odo', 'bram'));
        }
        $self = new GivePoints($unit, self::person('odo'), self::person('odo'));
        self::assertSame('to-oneself', self::told($self->do('5', (new InMemoryStore)->whole())));
        $nobody = new GivePoints($unit, self::person('odo'), Person::unknown('Nobody'));
        self::assertSame('nobody', self::told($nobody->do('5', (new InMemoryStore)->whole())));
        $broke = new GivePoints($unit, self::person('odo'), self::person('bram'));
        self::assertSame('nothing-to-give', self::told($broke->do('all', (new InMemoryStore)->whole())));
    }

    public function test_whatever_changes_hands_nothing_is_made_or_lost(): void
    {
        $luck = new Randomizer(new Mt19937(20261129));
        [$unit, $lantern] = [new Field('pebbles', FieldType::Points), new Goods('lantern', 7, '', 12, 3)];
        $people = array_map(self::person(...), ['odo', 'bram', 'pia', 'wren']);
        $store = new InMemoryStore;
        $trade = new TradeGoods($lantern, $unit);
        [$handed, $paid, $back] = [0, 0, 0];
        for ($step = 0; $step < 2_000; $step++) {
            [$one, $other] = [$people[$luck->getInt(0, 3)], $people[$luck->getInt(0, 3)]];
            $count = $luck->getInt(-1, 3);
            $did = $luck->getInt(0, 4);
            $out = new HandOut($unit, [$one, $other]);
            $give = new GivePoints($unit, $one, $other);
            $done = match ($did) {
                0 => $one->id === $other->id
                    ? ActionDone::refused('nobody-here')
                    : self::turn($store, $out->reads(), fn (View $memory) => $out->do($count, $memory)),
                1 => self::turn($store, $give->reads(), fn (View $memory) => $give->do((string) ($count * 4), $memory)),
                2 => self::turn($store, $trade->reads($one), fn (View $memory) => $trade->buy($one, $count, $memory)),
                3 => self::turn(
                    $store,
                    $trade->reads($one),
                    fn (View $memory) => $trade->sellBack($one, $count, $memory),
                ),
                default => self::turn(
                    $store,
                    $trade->reads($one, $other),
                    fn (View $memory) => $trade->handOn($one, $other, $count, $luck->getInt(0, 9), $memory),
                ),
            };
            $handed += $did === 0 && $done->isDone ? 2 * $count : 0;
            $paid += $did === 2 && $done->isDone ? 7 * $count : 0;
            $back += $did === 3 && $done->isDone ? 3 * $count : 0;
            $owned = self::sum($store, $lantern, 'odo', 'bram', 'pia', 'wren');
            self::assertSame($handed - $paid + $back, self::sum($store, $unit, 'odo', 'bram', 'pia', 'wren'));
            self::assertSame($owned, $store->values()[Key::sold('lantern')->id()] ?? 0);
            self::assertLessThanOrEqual(12, $owned, 'no more is sold than there is');
            foreach ($people as $person) {
                self::assertGreaterThanOrEqual(0, Holdings::has($unit, $person, $store->whole()));
                self::assertGreaterThanOrEqual(0, Holdings::has($lantern, $person, $store->whole()));
            }
        }
        self::assertGreaterThan(20, $paid);
        self::assertGreaterThan(0, $back);
        $ever = array_sum(array_map(
            static fn (Person $one): mixed => $store->values()[Key::everEarned('pebbles', $one->id)->id()] ?? 0,
            $people,
        ));
        self::assertSame($handed, $ever, 'what was ever earned never falls');
    }

    public function test_goods_are_refused_with_a_reason(): void
    {
        $unit = new Field('pebbles', FieldType::Points);
        $rich = (new InMemoryStore([
            Key::field('pebbles', 'odo')->id() => 100,
            Key::sold('lantern')->id() => 2,
        ]))->whole();
        $of = static fn (Goods $goods): TradeGoods => new TradeGoods($goods, $unit);
        $odo = self::person('odo');
        self::assertSame('sold-out', self::told($of(new Goods('lantern', 7, '', 2))->buy($odo, 1, $rich)));
        self::assertSame('sold-out', self::told($of(new Goods('lantern', 7, '', 3))->buy($odo, 2, $rich)));
        self::assertSame('not-for-sale', self::told($of(new Goods('lantern'))->buy($odo, 1, $rich)));
        self::assertSame('not-enough', self::told($of(new Goods('lantern', 101))->buy($odo, 1, $rich)));
        self::assertSame('no-count', self::told($of(new Goods('lantern', 1))->buy($odo, 0, $rich)));
        self::assertSame('not-bought-back', self::told($of(new Goods('lantern', 7))->sellBack($odo, 1, $rich)));
        self::assertSame('not-owned', self::told($of(new Goods('lantern', 7, '', null, 2))->sellBack($odo, 1, $rich)));
        self::assertSame(
            'not-owned',
            self::told($of(new Goods('lantern', 7))->handOn($odo, self::person('pia'), 1, 0, $rich)),
        );
    }

    public function test_checking_in_counts_once_a_day_and_runs_end_with_a_day_left_out(): void
    {
        $zone = new \DateTimeZone('Europe/Warsaw');
        $store = new InMemoryStore;
        $check = new CheckIn(self::person('odo'), $zone);
        $in = static fn (string $at): ActionDone => self::turn(
            $store,
            $check->reads(),
            static fn (View $memory): ActionDone => $check->do(Moment::fromIso($at, $zone) ?? new Moment(0), $memory),
        );
        // The clocks are put back in the night to the 25th of October 2026 (tz database): that day has 25 hours.
        $days = ['2026-10-24 23:59' => 1, '2026-10-25 00:00' => 2, '2026-10-25 23:59' => 2, '2026-10-26 23:59' => 3];
        foreach ($days as $at => $run) {
            self::assertSame($run, $in($at)->outcome['after'], $at);
        }
        self::assertSame(1, $in('2026-10-28 08:00')->outcome['after'], 'a day was left out');
        $kept = $store->values()[Key::checkIn('odo')->id()] ?? null;
        self::assertSame(['day' => '2026-10-28', 'run' => 1, 'longest' => 3, 'days' => 4], $kept);
    }

    /** @param  \Closure(View): ActionDone  $do */
    private static function turn(InMemoryStore $store, Reads $reads, \Closure $do): ActionDone
    {
        $done = ActionDone::refused('not-there');
        $store->turn(EventKey::none(), $reads, static function (View $memory) use ($do, &$done): Tally {
            $done = $do($memory);

            return new Tally($done->changes);
        });

        return $done;
    }

    private static function told(ActionDone $done): string
    {
        $reason = $done->outcome['reason'] ?? null;

        return $reason instanceof Message ? substr($reason->key, strlen('actions.')) : 'done';
    }

    private static function sum(InMemoryStore $store, Field|Goods $of, string ...$logins): int
    {
        return array_sum(
            array_map(static fn (string $login) => Holdings::has($of, self::person($login), $store->whole()), $logins),
        );
    }

    private static function person(string $login): Person
    {
        return Person::known($login, $login, ucfirst($login), Levels::of(), 0);
    }
}
