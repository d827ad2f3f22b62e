<?php

declare(strict_types=1);

namespace Tests\Core\Memory;

use PHPUnit\Framework\TestCase;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\PartialView;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Memory\Reads;

final class MemoryTest extends TestCase
{
    public function test_two_spellings_are_one_key_and_different_things_are_different_keys(): void
    {
        self::assertSame(Key::counter('Straße')->id(), Key::counter('STRASSE')->id());
        self::assertSame(Key::person('Odo')->id(), Key::person('odo')->id());
        $all = [
            Key::counter('a'),
            Key::counter('a', Owner::category('a')),
            Key::counter('a', Owner::viewer('a')),
            Key::counter('a', Owner::total()),
            Key::field('a', 'a'),
            Key::occasion('a'),
            Key::person('a'),
            Key::listPosition('a'),
            Key::lastRun('a'),
            Key::lastRun('a', Owner::viewer('a')),
        ];
        self::assertCount(count($all), array_unique(array_map(static fn (Key $key): string => $key->id(), $all)));
        foreach ($all as $key) {
            self::assertEquals($key, Key::fromId($key->id()));
        }
        self::assertNull(Key::fromId('counter'));
        self::assertNull(Key::fromId("ship\x1Fa\x1F"));
    }

    public function test_a_view_of_what_was_fetched_knows_nothing_else(): void
    {
        $view = new PartialView([Key::counter('a')->id() => null]);
        self::assertTrue($view->knows(Key::counter('a')));
        self::assertNull($view->value(Key::counter('a')));
        self::assertFalse($view->knows(Key::counter('b')));
        self::assertTrue((new CompleteView)->knows(Key::counter('b')));
    }

    public function test_changes_lie_over_a_view_and_remember_what_was_before_the_first(): void
    {
        $key = Key::counter('a');
        $overlay = new PendingChanges(new CompleteView([$key->id() => 3]));
        $overlay->change(new Change($key, 3, 4, 'counter.a', 'channel'));
        $overlay->change(new Change($key, 4, 9, 'counter.a', 'channel'));
        self::assertSame(9, $overlay->value($key));
        self::assertEquals([new Change($key, 3, 9, 'counter.a', 'channel')], $overlay->changes());
        $overlay->change(new Change($key, 9, 3, 'counter.a', 'channel'));
        self::assertSame([], $overlay->changes(), 'what is as before is no change');
    }

    public function test_additions_are_one_addition_and_whatever_was_set_is_set(): void
    {
        $key = Key::counter('a');
        $added = static fn (int $from, int $by): Change => new Change($key, $from, $from + $by, '', '', $by);
        $set = static fn (int $from, int $to): Change => new Change($key, $from, $to, '', '');
        $rows = [
            [[$added(3, 4), $added(7, -2)], 2],
            [[$added(3, 4), $set(7, 5)], null],
            [[$set(3, 7), $added(7, 4)], null],
        ];
        foreach ($rows as [$changes, $expected]) {
            $overlay = new PendingChanges(new CompleteView([$key->id() => 3]));
            array_map($overlay->change(...), $changes);
            self::assertSame($expected, $overlay->changes()[0]->added);
        }
    }

    public function test_what_an_author_calls_a_change(): void
    {
        self::assertTrue((new Change(Key::field('boat', 'x'), null, 'Heron', '', ''))->isAuthored());
        foreach (
            [Key::counter('a', Owner::total()), Key::listPosition('a'), Key::lastRun('a'), Key::person('a')] as $key
        ) {
            self::assertFalse((new Change($key, null, 1, '', ''))->isAuthored());
        }
    }

    public function test_reads_are_a_set(): void
    {
        $reads = Reads::of(Key::counter('a'), Key::counter('A'))->and(Reads::of(Key::counter('b'), Key::counter('a')));
        self::assertSame([Key::counter('a')->id(), Key::counter('b')->id()], array_keys($reads->keys));
        self::assertTrue(Reads::of()->isEmpty());
    }
}
