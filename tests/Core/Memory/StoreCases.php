<?php

declare(strict_types=1);

namespace Tests\Core\Memory;

use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Needs;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\View;

/** What every store must do: run on the one in memory and on MariaDB. */
trait StoreCases
{
    abstract protected function store(): Store;

    public function test_a_turn_keeps_all_changes_and_a_snapshot_sees_them(): void
    {
        $store = $this->store();
        [$a, $b, $c] = [Key::counter('a'), Key::field('boat', 'cast-odo'), Key::listPosition('knots')];
        $store->turn(
            EventKey::event('one'),
            Reads::of($a, $b),
            fn (View $view): Outcome => self::changing(
                new Change($a, null, 3, 'counter.a', 'channel'),
                new Change($b, null, "Heron's \"boat\" 😀", 'viewer.boat', 'odo'),
                new Change($c, null, ['of' => 'x', 'last' => 1, 'left' => [2, 0]], 'list', 'channel'),
            ),
        );
        $view = $store->snapshot(Reads::of($a, $b, $c, Key::counter('never')));
        self::assertSame(
            [3, "Heron's \"boat\" 😀", ['of' => 'x', 'last' => 1, 'left' => [2, 0]], null],
            [$view->value($a), $view->value($b), $view->value($c), $view->value(Key::counter('never'))],
        );
        self::assertTrue($view->knows(Key::counter('never')));
        self::assertFalse($view->knows(Key::counter('other')));
    }

    public function test_an_event_is_taken_once(): void
    {
        $store = $this->store();
        $a = Key::counter('a');
        $add = static function (View $view) use ($a): Outcome {
            $n = $view->value($a);

            return self::changing(new Change($a, $n, (is_int($n) ? $n : 0) + 1, 'counter.a', 'channel'));
        };
        self::assertInstanceOf(Outcome::class, $store->turn(EventKey::event('e'), Reads::of($a), $add));
        self::assertInstanceOf(AlreadyHandled::class, $store->turn(EventKey::event('e'), Reads::of($a), $add));
        self::assertInstanceOf(Outcome::class, $store->turn(EventKey::event('f'), Reads::of($a), $add));
        self::assertSame(2, $store->snapshot(Reads::of($a))->value($a));
    }

    public function test_a_turn_that_needs_more_is_undone_with_its_key(): void
    {
        $store = $this->store();
        $a = Key::counter('a');
        self::assertInstanceOf(
            Needs::class,
            $store->turn(EventKey::event('e'), Reads::of(), static fn (): Needs => Needs::keys($a)),
        );
        self::assertInstanceOf(
            Outcome::class,
            $store->turn(
                EventKey::event('e'),
                Reads::of($a),
                static fn (): Outcome => self::changing(new Change($a, null, 1, '', '')),
            ),
        );
    }

    public function test_a_turn_that_breaks_keeps_nothing(): void
    {
        $store = $this->store();
        $a = Key::counter('a');
        try {
            $store->turn(
                EventKey::event('e'),
                Reads::of($a),
                static fn (): Outcome => throw new \DomainException('a break'),
            );
            self::fail('it went through');
        } catch (\DomainException) {
        }
        self::assertNull($store->snapshot(Reads::of($a))->value($a));
        self::assertInstanceOf(
            Outcome::class,
            $store->turn(
                EventKey::event('e'),
                Reads::of($a),
                static fn (): Outcome => self::changing(new Change($a, null, 1, '', '')),
            ),
        );
    }

    public function test_what_becomes_nothing_is_forgotten(): void
    {
        $store = $this->store();
        $a = Key::counter('a');
        $store->turn(
            EventKey::event('1'),
            Reads::of($a),
            static fn (): Outcome => self::changing(new Change($a, null, 1, '', '')),
        );
        $store->turn(
            EventKey::event('2'),
            Reads::of($a),
            static fn (): Outcome => self::changing(new Change($a, 1, null, '', '')),
        );
        self::assertNull($store->snapshot(Reads::of($a))->value($a));
    }

    public function test_a_value_may_become_one_of_another_kind_and_back(): void
    {
        $store = $this->store();
        $boat = Key::field('boat', 'account:odo');
        foreach ([7, 'Heron', true, '1.5', 8, null, 9] as $turn => $value) {
            $before = $store->snapshot(Reads::of($boat))->value($boat);
            $store->turn(
                EventKey::event("turn $turn"),
                Reads::of($boat),
                static fn (): Outcome => self::changing(new Change($boat, $before, $value, 'viewer.boat', 'odo')),
            );
            self::assertSame($value, $store->snapshot(Reads::of($boat))->value($boat), (string) $turn);
        }
    }

    public function test_keys_that_differ_in_accents_owner_or_emoji_stay_apart(): void
    {
        $store = $this->store();
        $keys = [
            Key::counter('e'),
            Key::counter('é'),
            Key::counter('e', Owner::category('😀')),
            Key::counter('e', Owner::category('😁')),
            Key::counter('e', Owner::category('a')),
            Key::counter('e', Owner::category('a ')),
        ];
        $store->turn(
            EventKey::event('x'),
            Reads::of(...$keys),
            static fn (): Outcome => self::changing(
                ...array_map(
                    static fn (Key $key, int $n): Change => new Change($key, null, $n, '', ''),
                    $keys,
                    array_keys($keys),
                ),
            ),
        );
        $view = $store->snapshot(Reads::of(...$keys));
        self::assertSame(array_keys($keys), array_map(static fn (Key $key): mixed => $view->value($key), $keys));
    }

    private static function changing(Change ...$changes): Outcome
    {
        return new Outcome(sayings: [new Saying('said')], changes: array_values($changes));
    }
}
