<?php

declare(strict_types=1);

namespace Tests\Feature\Storage;

use App\Models\Channel;
use App\Storage\MariaDbQuotes;
use App\Storage\MariaDbStore;
use Illuminate\Support\Facades\DB;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\LeaseLost;
use SilverParrot\Memory\Quotes;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Tally;
use Tests\Core\Memory\StoreCases;
use Tests\Feature\TestCase;

final class MariaDbStoreTest extends TestCase
{
    use StoreCases;

    public function test_sayings_and_history_stand_in_the_same_commit(): void
    {
        $key = Key::counter('a');
        $this->store()->turn(
            EventKey::event('e1'),
            Reads::of($key),
            static fn () => self::changing(new Change($key, 2, 3, 'counter.a', 'channel')),
        );
        $row = DB::table('outgoing')->where('channel_id', $this->cove->id)->sole();
        self::assertSame(
            ['e1', 'said', 'queued', 'parrot', 'chat'],
            [$row->event_key, $row->text, $row->state, $row->voice, $row->place],
        );
        $row = DB::table('memory_history')->where('channel_id', $this->cove->id)->sole();
        self::assertSame(
            ['counter', 'a', '', '2', '3', 'e1'],
            [$row->kind, $row->name, $row->owner, $row->before, $row->after, $row->event_key],
        );
    }

    public function test_whoever_lost_the_lease_writes_nothing(): void
    {
        Channel::query()->whereKey($this->cove->id)->update(['lease_epoch' => 7]);
        $key = Key::counter('a');
        $change = static fn (): Tally => new Tally([new Change($key, null, 1, '', '')]);
        self::assertInstanceOf(
            LeaseLost::class,
            (new MariaDbStore(DB::connection(), $this->cove->id, 6))->turn(
                EventKey::event('e'),
                Reads::of($key),
                $change,
            ),
        );
        self::assertNull($this->store()->snapshot(Reads::of($key))->value($key));
        self::assertInstanceOf(
            Tally::class,
            (new MariaDbStore(DB::connection(), $this->cove->id, 7))->turn(
                EventKey::event('e'),
                Reads::of($key),
                $change,
            ),
        );
        self::assertInstanceOf(
            Tally::class,
            (new MariaDbStore(DB::connection(), $this->cove->id))->turn(EventKey::event('f'), Reads::of($key), $change),
            'a screen needs no lease',
        );
    }

    public function test_another_channels_memory_and_events_are_others(): void
    {
        $far = $this->harbour($this->person('Pia'));
        $key = Key::counter('planks');
        $turn = static fn (int $n): \Closure => static fn (): Tally => new Tally([new Change($key, null, $n, '', '')]);
        (new MariaDbStore(DB::connection(), $far->id))->turn(EventKey::event('same'), Reads::of($key), $turn(1));
        self::assertInstanceOf(Tally::class, $this->store()->turn(EventKey::event('same'), Reads::of($key), $turn(2)));
        self::assertSame(1, (new MariaDbStore(DB::connection(), $far->id))->snapshot(Reads::of($key))->value($key));
        self::assertSame(2, $this->store()->snapshot(Reads::of($key))->value($key));
        self::assertInstanceOf(
            LeaseLost::class,
            (new MariaDbStore(DB::connection(), 999_999))->turn(EventKey::event('e'), Reads::of(), $turn(3)),
            'a channel that is gone takes nothing',
        );
    }

    public function test_a_snapshot_is_one_statement_and_a_turn_few(): void
    {
        DB::enableQueryLog();
        $keys = array_map(static fn (int $n): Key => Key::counter("n$n"), range(1, 20));
        $this->store()->snapshot(Reads::of(...$keys));
        self::assertCount(1, DB::getQueryLog());
        DB::flushQueryLog();
        $this->store()->turn(
            EventKey::event('e'),
            Reads::of(...$keys),
            static fn () => self::changing(
                ...array_map(static fn (Key $key): Change => new Change($key, null, 1, '', ''), $keys),
            ),
        );
        self::assertCount(6, DB::getQueryLog(), 'lock, event, read, memory, history, sayings');
    }

    protected function store(): Store
    {
        return new MariaDbStore(DB::connection(), $this->cove->id);
    }

    protected function quotes(Store $store): Quotes
    {
        return new MariaDbQuotes(DB::connection(), $this->cove->id);
    }
}
