<?php

declare(strict_types=1);

namespace Tests\Core\Memory;

use PHPUnit\Framework\TestCase;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\FoundQuotes;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Quotes;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Tally;

final class InMemoryStoreTest extends TestCase
{
    use StoreCases;

    protected function store(): Store
    {
        return new InMemoryStore;
    }

    protected function quotes(Store $store): Quotes
    {
        self::assertInstanceOf(InMemoryStore::class, $store);

        return new FoundQuotes($store->values(...));
    }

    public function test_what_is_not_in_it_is_read_beneath_when_it_is_asked_for_and_never_written_there(): void
    {
        [$planks, $boat, $hat] = [Key::counter('planks'), Key::field('boat', '1'), Key::field('hat', '1')];
        $beneath = new InMemoryStore([$planks->id() => 41, $boat->id() => 'Heron']);
        $store = new InMemoryStore([], $beneath, [$boat->id() => 'none', $hat->id() => 'straw']);
        $all = Reads::of($planks, $boat, $hat);
        $view = $store->snapshot($all);
        self::assertSame([41, 'Heron', 'straw'], [$view->value($planks), $view->value($boat), $view->value($hat)]);
        $store->turn(
            EventKey::event('one'),
            $all,
            static fn (): Tally => new Tally([
                new Change($planks, 41, 42, 'counter.planks', 'channel'),
                new Change($boat, 'Heron', null, 'viewer.boat', 'x'),
            ]),
        );
        $view = $store->snapshot($all);
        self::assertSame(
            [42, null],
            [$view->value($planks), $view->value($boat)],
            'what was cleared is not read beneath again',
        );
        self::assertSame([41, 'Heron'], array_map($beneath->snapshot($all)->value(...), [$planks, $boat]));
        self::assertSame([$planks->id() => 42, $hat->id() => 'straw'], $store->values());
    }
}
