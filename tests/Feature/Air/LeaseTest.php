<?php

declare(strict_types=1);

namespace Tests\Feature\Air;

use App\Air\CachedDetails;
use App\Air\ChannelOnAir;
use App\Air\Details;
use App\Air\Lease;
use App\Air\OutgoingQueue;
use App\Air\RegularsNow;
use App\Air\ServiceWeb;
use App\Air\Tallies;
use App\Models\HandedSaying;
use App\Models\TakenEvent;
use App\Storage\MariaDbStore;
use App\Web\WebLookups;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\FoundQuotes;
use SilverParrot\Memory\FoundRanking;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;
use Tests\Feature\TestCase;

final class LeaseTest extends TestCase
{
    public function test_a_channel_is_held_by_one_until_it_runs_out_and_each_taking_raises_the_epoch(): void
    {
        $first = new Lease(DB::connection(), 'first');
        $second = new Lease(DB::connection(), 'second');
        $epoch = $first->take($this->cove->id);
        self::assertSame(1, $epoch);
        self::assertNull($second->take($this->cove->id));
        self::assertSame([], $first->renew([$this->cove->id => $this->onAir($this->cove->id, 1)]));
        self::assertSame([$this->cove->id], $second->renew([$this->cove->id => $this->onAir($this->cove->id, 1)]));
        $this->runOut();
        self::assertSame(2, $second->take($this->cove->id));
        self::assertSame(
            [$this->cove->id],
            $first->renew([$this->cove->id => $this->onAir($this->cove->id, 1)]),
            'who lost it cannot renew it',
        );
        $second->leave($this->cove->id, 2);
        self::assertSame(3, $first->take($this->cove->id), 'who leaves makes room at once');
        DB::table('channels')
            ->where('id', $this->cove->id)
            ->update(['lease_until' => DB::raw('UTC_TIMESTAMP(3) + INTERVAL 1 HOUR')]);
        self::assertSame(
            4,
            $second->take($this->cove->id),
            'a lease from before the clock was put right holds nobody off',
        );
    }

    public function test_a_beat_asks_as_often_for_many_channels_as_for_one_and_loses_only_what_is_lost(): void
    {
        $lease = new Lease(DB::connection(), 'first');
        $channels = [];
        foreach (range(1, 12) as $i) {
            $id = (int) DB::table('channels')->insertGetId([
                'login' => "cove$i",
                'name' => "Cove $i",
                'talkers' => '[]',
                'details' => '{}',
            ]);
            $channels[$id] = $this->onAir($id, (int) $lease->take($id));
        }
        $lost = array_key_last($channels);
        DB::table('channels')->where('id', $lost)->update(['lease_epoch' => 9]);
        DB::enableQueryLog();
        self::assertSame([$lost], $lease->renew($channels));
        self::assertSame([], (new OutgoingQueue(DB::connection()))->waiting(array_keys($channels)));
        self::assertCount(3, DB::getQueryLog(), 'the leases, those that are ours, and what is queued');
        DB::flushQueryLog();
        unset($channels[$lost]);
        self::assertSame([], $lease->renew($channels));
        self::assertCount(1, DB::getQueryLog());
        DB::disableQueryLog();
        self::assertSame(
            11,
            DB::table('channels')
                ->whereIn('id', array_keys($channels))
                ->where('lease_until', '>', DB::raw('UTC_TIMESTAMP(3)'))
                ->count(),
        );
        $this->say('queued', 'ahoy');
        self::assertSame(
            [$this->cove->id],
            (new OutgoingQueue(DB::connection()))->waiting([...array_keys($channels), $this->cove->id]),
        );
    }

    private function onAir(int $channel, int $epoch): ChannelOnAir
    {
        return new ChannelOnAir(
            $channel,
            'x',
            $epoch,
            's',
            new Driver(new EventHandler, new MariaDbStore(DB::connection(), $channel)),
            new CachedDetails(new Details(new ServiceWeb('127.0.0.1:1')), 'x'),
            static fn (): null => null,
            ChatProfile::stream(),
            new SearchedReadings(
                new FoundQuotes(static fn (): array => []),
                new FoundRanking(static fn (): array => []),
            ),
            new MessageKeys,
            new RegularsNow(DB::connection(), $channel),
            WebLookups::of(DB::connection(), $channel),
        );
    }

    public function test_whoever_is_frozen_while_holding_a_row_lets_go_of_it_after_a_while(): void
    {
        // Connections of their own, as two talkers have; this test's own transaction would hide its rows from them.
        config([
            'database.connections.frozen' => config('database.connections.mariadb'),
            'database.connections.other' => config('database.connections.mariadb'),
        ]);
        [$frozen, $other] = [DB::connection('frozen'), DB::connection('other')];
        $other->statement('CREATE TABLE frozen_rows (id INT PRIMARY KEY, n INT) ENGINE=InnoDB');
        try {
            $other->insert('INSERT INTO frozen_rows VALUES (1, 0)');
            $frozen->beginTransaction();
            $frozen->select('SELECT n FROM frozen_rows WHERE id = 1 FOR UPDATE');
            $tries = 0;
            $isDone = false;
            // Each try waits two seconds; the third falls behind the three that a frozen one has.
            while (! $isDone && $tries++ < 4) {
                // This test's own transaction must not be taken for a frozen one.
                DB::select('SELECT 1');
                try {
                    $isDone = $other->update('UPDATE frozen_rows SET n = 1 WHERE id = 1') === 1;
                } catch (QueryException $waited) {
                    self::assertSame(1205, $waited->errorInfo[1] ?? null);
                }
            }
            self::assertTrue($isDone);
            self::assertGreaterThan(1, $tries, 'it was held at first');
        } finally {
            DB::purge('frozen');
            $other->statement('DROP TABLE frozen_rows');
            DB::purge('other');
        }
    }

    public function test_a_saying_is_handed_on_once_and_only_by_who_holds_the_channel(): void
    {
        $epoch = (int) (new Lease(DB::connection(), 'first'))->take($this->cove->id);
        $this->say('e1', 'ahoy');
        $outgoing = new OutgoingQueue(DB::connection());
        $queued = $outgoing->queued($this->cove->id);
        self::assertEquals(['ahoy'], array_values(array_map(static fn (Saying $one): string => $one->text, $queued)));
        $number = array_key_first($queued);
        self::assertFalse($outgoing->hand($this->cove->id, $number, $epoch + 1), 'another epoch');
        self::assertFalse($outgoing->hand($this->harbour($this->person('Pia'))->id, $number, 0), 'another channel');
        self::assertTrue($outgoing->hand($this->cove->id, $number, $epoch));
        self::assertFalse($outgoing->hand($this->cove->id, $number, $epoch), 'a second time');
        self::assertSame([], $outgoing->queued($this->cove->id));
    }

    public function test_what_waited_too_long_is_stale(): void
    {
        $this->say('old', 'too late');
        DB::table('outgoing')->update(['queued_at' => DB::raw('UTC_TIMESTAMP(3) - INTERVAL 21 SECOND')]);
        $this->say('new', 'in time');
        self::assertSame(
            ['in time'],
            array_values(
                array_map(
                    static fn (Saying $one): string => $one->text,
                    (new OutgoingQueue(DB::connection()))->queued($this->cove->id),
                ),
            ),
        );
        self::assertSame('stale', DB::table('outgoing')->where('event_key', 'old')->value('state'));
    }

    public function test_what_is_a_day_old_is_forgotten_and_what_is_queued_is_not(): void
    {
        $this->say('old', 'x');
        $this->say('waiting', 'y');
        $this->cove->update(['keep_days' => 1]);
        DB::table('heard_events')->where('event_key', 'old')->update(['heard_at' => now()->subDays(3)]);
        DB::table('heard_events')->where('event_key', 'waiting')->update(['heard_at' => now()]);
        DB::table('outgoing')->update(['queued_at' => now()->subDays(3)]);
        DB::table('outgoing')->where('event_key', 'old')->update(['state' => 'handed']);
        Artisan::call('model:prune', ['--model' => [TakenEvent::class, HandedSaying::class]]);
        self::assertSame(['waiting'], DB::table('heard_events')->pluck('event_key')->all());
        self::assertSame(['waiting'], DB::table('outgoing')->pluck('event_key')->all());
    }

    public function test_who_was_seen_is_tallied_in_one_turn(): void
    {
        $store = new MariaDbStore(DB::connection(), $this->cove->id, 0);
        $channel = new ChannelOnAir(
            $this->cove->id,
            'lantern_cove',
            0,
            's',
            new Driver(new EventHandler, $store),
            new CachedDetails(new Details(new ServiceWeb('127.0.0.1:1')), 'lantern_cove'),
            static fn (): null => null,
            ChatProfile::stream(),
            new SearchedReadings(
                new FoundQuotes(static fn (): array => []),
                new FoundRanking(static fn (): array => []),
            ),
            new MessageKeys,
            new RegularsNow(DB::connection(), $this->cove->id),
            WebLookups::of(DB::connection(), $this->cove->id),
        );
        $quill = Person::known('account:quill', 'quill', 'Quill', Levels::of());
        foreach ([0, 1000, 2000] as $i => $millis) {
            $channel->hear(new ChatLine("k$i", $quill, 'hello', new Moment(1_795_597_200_000 + $millis)));
        }
        Tallies::keep($channel, $store);
        $channel->hear(new ChatLine('k4', $quill, 'again', new Moment(1_795_597_300_000)));
        Tallies::keep($channel, $store);
        Tallies::keep($channel, $store);
        $record = $store->snapshot(Reads::of(Key::person('quill')))->value(Key::person('quill'));
        self::assertIsArray($record);
        self::assertSame(
            [4, '2026-11-25T09:00:00Z', '2026-11-25T09:01:40Z', 'account:quill'],
            [$record['lines'], $record['first_seen'], $record['last_seen'], $record['id']],
        );
        self::assertSame(
            0,
            DB::table('heard_events')->where('event_key', 'not like', 'k%')->count(),
            'bookkeeping leaves no event',
        );
        self::assertSame(2, (int) DB::table('channels')->where('id', $this->cove->id)->value('tally'));
        // A batch that comes again is not counted again.
        foreach ([2, 1] as $number) {
            self::assertInstanceOf(
                AlreadyHandled::class,
                $store->turn(EventKey::tally($number), Reads::of(), static fn (): Tally => new Tally([])),
            );
        }
    }

    private function say(string $key, string $text): void
    {
        (new MariaDbStore(DB::connection(), $this->cove->id))->turn(
            EventKey::event($key),
            Reads::of(),
            static fn (): Outcome => new Outcome(
                sayings: [new Saying($text)],
                changes: [new Change(Key::counter('x'), null, 1, '', '')],
            ),
        );
    }

    private function runOut(): void
    {
        DB::table('channels')
            ->where('id', $this->cove->id)
            ->update(['lease_until' => DB::raw('UTC_TIMESTAMP(3) - INTERVAL 1 SECOND')]);
    }
}
