<?php

declare(strict_types=1);

namespace Tests\Feature\Storage;

use App\Storage\MariaDbStore;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use Tests\Feature\TestCase;

/**
 * People are known by the id of their service: a new name loses nothing, and a name that was taken over inherits
 * nothing.
 */
final class ViewersTest extends TestCase
{
    public function test_who_is_called_otherwise_keeps_what_is_theirs_and_is_found_by_the_new_name(): void
    {
        $this->seen('harbour:1', 'odo', 5);
        $this->give('harbour:1', 'odo', 40);
        $this->seen('harbour:1', 'odo_the_old', 1);
        self::assertSame(40, $this->pebbles('harbour:1'));
        self::assertSame(
            ['harbour:1', 6],
            [$this->record('odo_the_old')['id'] ?? null, $this->record('odo_the_old')['lines'] ?? null],
        );
        self::assertSame([], $this->record('odo'));
        self::assertSame(
            ['odo'],
            json_decode(
                (string) DB::table('viewers')
                    ->where('channel_id', $this->cove->id)
                    ->where('service_id', '1')
                    ->value('logins_before'),
                true,
            ),
        );
    }

    public function test_whoever_takes_a_name_over_inherits_nothing(): void
    {
        $this->seen('harbour:1', 'odo', 5);
        $this->give('harbour:1', 'odo', 40);
        $this->travel(1)->minutes();
        $this->seen('harbour:2', 'odo', 1);
        self::assertNull($this->pebbles('harbour:2'));
        self::assertSame(
            ['harbour:2', 1],
            [$this->record('odo')['id'] ?? null, $this->record('odo')['lines'] ?? null],
            'the name is whose it was last',
        );
        self::assertSame(40, $this->pebbles('harbour:1'));
    }

    public function test_what_was_kept_under_a_login_is_for_who_comes_with_it_and_an_id(): void
    {
        $this->seen('account:odo', 'odo', 5);
        $this->give('account:odo', 'odo', 40);
        $this->seen('harbour:1', 'odo', 2);
        self::assertSame(40, $this->pebbles('harbour:1'));
        self::assertSame(7, $this->record('odo')['lines'] ?? null, 'the lines too');
        self::assertSame(1, DB::table('viewers')->where('channel_id', $this->cove->id)->where('login', 'odo')->count());
    }

    public function test_where_somebody_else_with_an_id_had_the_login_too_it_waits_for_the_streamer(): void
    {
        $this->seen('harbour:9', 'odo', 1);
        $this->seen('harbour:9', 'odo_elsewhere', 1);
        $this->seen('account:odo', 'odo', 5);
        $this->give('account:odo', 'odo', 40);
        $this->seen('harbour:1', 'odo', 2);
        self::assertNull($this->pebbles('harbour:1'));
        self::assertSame(40, $this->pebbles('account:odo'));
        $this->actingAs($this->wren)
            ->get(route('remember', $this->cove))
            ->assertSee('Kept under a name')
            ->assertSee('odo')
            ->assertSee('5 lines');
        $waiting = (int) DB::table('viewers')
            ->where('channel_id', $this->cove->id)
            ->where('service', 'account')
            ->value('id');
        $this->post(route('remember.hand', [$this->cove, 'viewer' => $waiting]), [
            'to' => 'harbour:77',
        ])->assertSessionHas('notice', 'There is nobody like that any more; nothing was handed on.');
        $this->post(route('remember.hand', [$this->cove, 'viewer' => $waiting]), [
            'to' => 'harbour:1',
        ])->assertSessionHas('notice', 'What was kept under odo belongs to Odo now.');
        self::assertSame(40, $this->pebbles('harbour:1'));
        self::assertSame(7, $this->record('odo')['lines'] ?? null);
        $this->get(route('remember', $this->cove))->assertDontSee('Kept under a name');
    }

    private function seen(string $id, string $login, int $lines): void
    {
        $key = Key::seen($id);
        $person = Person::known($id, $login, ucfirst($login), Levels::of());
        $this->store()->turn(EventKey::none(), Reads::of($key), static function ($memory) use (
            $key,
            $person,
            $lines,
        ): Tally {
            $kept = $memory->value($key);

            return new Tally([
                new Change(
                    $key,
                    $kept,
                    [
                        ...$person->record(),
                        'last_seen' => now()->toIso8601ZuluString(),
                        'lines' => $lines + (is_array($kept) && is_int($kept['lines'] ?? null) ? $kept['lines'] : 0),
                    ],
                    'person',
                    $person->login,
                ),
            ]);
        });
    }

    private function give(string $id, string $login, int $pebbles): void
    {
        $key = Key::field('pebbles', $id);
        $this->store()->turn(
            EventKey::none(),
            Reads::of($key),
            static fn ($memory): Tally => new Tally([
                new Change($key, $memory->value($key), $pebbles, 'viewer.pebbles', $login),
            ]),
        );
    }

    private function pebbles(string $id): mixed
    {
        return $this->remembered(Key::field('pebbles', $id));
    }

    /** @return array<string, mixed> */
    private function record(string $login): array
    {
        $record = $this->remembered(Key::person($login));

        return is_array($record) ? $record : [];
    }

    private function store(): MariaDbStore
    {
        return new MariaDbStore(DB::connection(), $this->cove->id);
    }
}
