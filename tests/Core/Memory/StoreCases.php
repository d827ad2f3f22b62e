<?php

declare(strict_types=1);

namespace Tests\Core\Memory;

use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Needs;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\KeptQuotes;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\Quotes;
use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;

/** What every store must do: run on the one in memory and on MariaDB. */
trait StoreCases
{
    abstract protected function store(): Store;

    abstract protected function quotes(Store $store): Quotes;

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

    public function test_quotes_are_found_as_they_are_kept_changed_and_deleted(): void
    {
        $store = $this->store();
        $luck = new Randomizer(new Mt19937(20261129));
        $words = ['Gull', 'gulls', 'straße', 'STRASSE', '😀', 'can’t', 'çay', '船', 'two-ply', 'glue.', '[caller]', '%'];
        $people = ['', 'Odo', 'odo', 'Wren Halloway'];
        /** @var array<int, Quote> $expected */
        $expected = [];
        foreach ($this->quotes($store)->numbers() as $number) {
            $expected[$number] = $this->quotes($store)->numbered($number) ?? self::fail("no quote $number");
        }
        $last = max([0, ...array_keys($expected)]);
        for ($step = 0; $step < 120; $step++) {
            $some = array_map(static fn (int $at): string => $words[$at], $luck->pickArrayKeys($words, 3));
            $quote = static fn (int $number): Quote => new Quote(
                $number,
                implode(' ', $some),
                $people[$luck->getInt(0, 3)],
                $luck->getInt(0, 1) === 0 ? '' : 'Planking',
                $luck->getInt(0, 1) === 0 ? null : Moment::fromIso('2026-03-01T18:00:00Z'),
                keptBy: 'Bram',
            );
            $one = $expected === [] ? 0 : (int) $luck->pickArrayKeys($expected, 1)[0];
            $doing = $one === 0 ? 0 : $luck->getInt(0, 3);
            $made = $quote($doing < 2 ? $last + 1 : $one);
            $store->turn(
                EventKey::event("step $step"),
                KeptQuotes::reads()->and(Reads::of(Key::quote($made->number))),
                static function (View $memory) use ($doing, $made): Outcome {
                    if ($doing < 2) {
                        self::assertSame($made->number, KeptQuotes::nextNumber($memory), 'no number is used twice');
                    }

                    return self::changing(...match ($doing) {
                        0, 1 => KeptQuotes::keep($made, $memory),
                        2 => [KeptQuotes::become($made->number, $made, $memory)],
                        default => [KeptQuotes::become($made->number, null, $memory)],
                    });
                },
            );
            $last = max($last, $made->number);
            if ($doing === 3) {
                unset($expected[$one]);
            } else {
                $expected[$made->number] = $made;
            }
        }
        ksort($expected);
        $quotes = $this->quotes($store);
        self::assertSame(array_keys($expected), $quotes->numbers());
        self::assertEquals(end($expected), $quotes->newest());
        foreach (array_keys($expected) as $number) {
            self::assertEquals($expected[$number], $quotes->numbered($number));
        }
        self::assertNull($quotes->numbered($last + 1));
        $searches = ['gull', 'GUL', 'strasse', 'straße gull', '😀', 'cant', 'ply two', '船', '%', '_', 'glue', ''];
        foreach ($searches as $typed) {
            foreach ([[], ['ODO'], ['nobody']] as $by) {
                $search = QuoteSearch::words($typed)->by(...$by);
                // By hand: all words that were typed begin some word of it.
                $found = array_values(array_filter($expected, static function (Quote $quote) use ($typed, $by): bool {
                    $spaced = ' '.strtr(
                        mb_strtolower("{$quote->text} {$quote->by}"),
                        ['ß' => 'ss', '-' => ' ', '[' => ''],
                    );
                    $all = $typed !== '%' && $typed !== '_';
                    foreach (array_filter(explode(' ', strtr(mb_strtolower($typed), ['ß' => 'ss']))) as $word) {
                        $all = $all && str_contains($spaced, " $word");
                    }

                    return $all && ($by === [] || strtolower($quote->by) === strtolower($by[0]));
                }));
                self::assertSame(count($found), $quotes->count($search), "“{$typed}” ".implode(' ', $by));
                foreach ($found as $at => $quote) {
                    self::assertEquals($quote, $quotes->at($search, $at + 1));
                }
                self::assertNull($quotes->at($search, count($found) + 1));
            }
        }
    }

    private static function changing(Change ...$changes): Outcome
    {
        return new Outcome(sayings: [new Saying('said')], changes: array_values($changes));
    }
}
