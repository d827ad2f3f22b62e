<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Role;
use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\Membership;
use App\Models\User;
use App\Storage\MariaDbStore;
use App\Storage\MemoryRows;
use App\Storage\PackRepository;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Support\Facades\DB;
use SilverParrot\Format\PackFormat;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Rehearsal\MemoryFormat;

/** The application on the tests' own MariaDB, with the demo channel in it. */
abstract class TestCase extends Base
{
    use RefreshDatabase;

    private const NOW = '2026-11-25 20:00:00';

    protected User $wren;

    protected Channel $cove;

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        // A test is one transaction, in which much may be reckoned on a busy machine.
        DB::statement('SET SESSION idle_transaction_timeout = 0');
        // Of their own: what somebody brought to the instance beside them is not theirs to forget.
        config(['rehearsals.logs' => storage_path('framework/testing/logs-of-chats')]);
        $this->travelTo(self::NOW);
        $this->wren = User::query()->where('name', 'Wren')->firstOrFail();
        $this->cove = Channel::query()->where('login', 'lantern_cove')->firstOrFail();
    }

    /** The demo is made once, before the transactions of the tests begin. */
    protected function migrateDatabases(): void
    {
        $this->artisan('migrate:fresh', $this->migrateFreshUsing());
        $this->makeDemo();
    }

    protected function makeDemo(): void
    {
        $this->travelTo(self::NOW);
        [$pack] = PackFormat::read((string) file_get_contents(base_path('docs/examples/lantern-cove.pack.json')));
        [$situation] = MemoryFormat::read(
            (string) file_get_contents(base_path('docs/examples/lantern-cove.memory.json')),
            $pack,
        );
        $cove = app(PackRepository::class)->make($pack, $this->person('Wren'), $situation->channel);
        app(MemoryRows::class)->fill($cove, $situation->memory);
    }

    /** @return null|bool|int|string|array<string, mixed> what is remembered */
    protected function remembered(Key $key, ?Channel $channel = null): null|bool|int|string|array
    {
        return (new MariaDbStore(DB::connection(), ($channel ?? $this->cove)->id))
            ->snapshot(Reads::of($key))
            ->value($key);
    }

    /** @return array<string, list<array<string, mixed>>> every row of a channel's memory, by table */
    protected function wholeMemory(?Channel $channel = null): array
    {
        $rows = [];
        foreach (
            [
                'viewers',
                'counter_numbers',
                'balances',
                'viewer_values',
                'occasion_moments',
                'list_positions',
                'cooldowns',
                'command_successes',
                'recent_answers',
                'running_streams',
                'ledger',
                'memory_history',
            ] as $table
        ) {
            $rows[$table] = array_map(
                static fn (object $row): array => array_diff_key((array) $row, [
                    'id' => 1,
                    'viewer_id' => 1,
                    'by_viewer_id' => 1,
                ]),
                DB::table($table)->where('channel_id', ($channel ?? $this->cove)->id)->orderBy('id')->get()->all(),
            );
        }

        return $rows;
    }

    protected function person(string $name): User
    {
        return User::factory()->create(['name' => $name])->refresh();
    }

    /** Another person comes with a session of their own. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        $this->flushSession();

        return parent::actingAs($user, $guard);
    }

    protected function member(string $name, Role $role, ?Channel $channel = null): User
    {
        $user = $this->person($name);
        Membership::factory()->for($channel ?? $this->cove)->for($user)->create(['role' => $role]);

        return $user;
    }

    /** Another channel with one command of its own, !bell. */
    protected function harbour(User $streamer): Channel
    {
        $channel = Channel::factory()->withStreamer($streamer)->create(['login' => 'far_harbour']);
        CommandRow::factory()->for($channel)->saying('ding')->create(['trigger' => '!bell']);

        return $channel->refresh();
    }

    /**
     * Many rows at once, without a model’s events. Some at a time: the database ends whoever is silent for long.
     *
     * @param  Factory<covariant Model>  $of
     */
    protected function insert(Factory $of, int $count): void
    {
        for (; $count > 0; $count -= 250) {
            $rows = $of->count(min(250, $count))->make();
            $attributes = $rows->map(static fn (Model $row): array => $row->getAttributes())->all();
            $rows->first()?->newQuery()->insert($attributes);
        }
    }

    protected function command(string $trigger, ?Channel $channel = null): CommandRow
    {
        return ($channel ?? $this->cove)->commands()->where('trigger_folded', $trigger)->firstOrFail();
    }

    /**
     * The fields of a command's page.
     *
     * @param  array<string, mixed>  $changed
     * @return array<string, mixed>
     */
    protected function fields(array $changed = []): array
    {
        return $changed + [
            'trigger' => '!wave',
            'aliases' => '',
            'gates' => [
                'enabled' => '1',
                'levels' => ['who' => 'everyone'],
                'cooldown' => ['channel' => '10', 'person' => '60'],
            ],
            'responses' => [['text' => '[caller] waves.', 'weight' => '1']],
            'refusals' => ['level' => '', 'cooldown' => ''],
            'if_it_fails' => '',
            'listed' => '1',
            'voice' => 'parrot',
            'place' => 'chat',
            'group' => '',
            'note' => '',
            'revision' => '0',
        ];
    }
}
