<?php

declare(strict_types=1);

use App\Storage\Backup\RowsOfVersionOne;
use App\Storage\SortMemory;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is remembered stands in a table for each kind. The old table of keys and values stays: what a backup of the
 * first form brings comes in through it.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('viewers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            // The service, and the id that it never gives to anybody else; empty for the simulated people of
            // rehearsals.
            $table->string('service', 20);
            $table->string('service_id', 190);
            // Folded, as those of before; who has it now, or had it last.
            $table->string('login', 190);
            // Empty until somebody was seen.
            $table->string('name', 190);
            $table->json('levels');
            $table->unsignedTinyInteger('tier')->default(0);
            $table->dateTime('first_seen', 3)->nullable();
            $table->dateTime('last_seen', 3)->nullable();
            $table->unsignedBigInteger('lines')->nullable();
            $table->json('logins_before');
            $table->unique(['channel_id', 'service', 'service_id']);
            $table->index(['channel_id', 'login']);
        });
        // In all that follow, viewer_id is 0 for what belongs to no viewer, and a definition stands with its folded id.
        $this->shelf('counter_numbers', 'counter', ['viewer_id', 'owner_kind', 'category'], static function (
            Blueprint $table,
        ): void {
            $table->bigInteger('number');
            // The stream or day that it counts for; null where it lasts.
            $table->string('period', 60)->nullable();
        });
        $this->shelf('balances', 'unit', ['viewer_id', 'kind'], static function (Blueprint $table): void {
            $table->bigInteger('amount');
            // Rankings.
            $table->index(['channel_id', 'kind', 'unit', 'amount']);
        });
        $this->shelf('viewer_values', 'field', ['viewer_id'], static fn (Blueprint $table) => $table->json('value'));
        $this->shelf('occasion_moments', 'occasion', [], static fn (Blueprint $table) => $table->string('moment', 40));
        $this->shelf('list_positions', 'list', [], static fn (Blueprint $table) => $table->json('position'));
        $this->shelf(
            'cooldowns',
            'command',
            ['viewer_id'],
            static fn (Blueprint $table) => $table->bigInteger('last_run'),
        );
        $this->shelf('recent_answers', null, ['viewer_id'], static fn (Blueprint $table) => $table->json('answers'));
        $this->shelf('running_streams', null, [], static fn (Blueprint $table) => $table->json('state'));
        Schema::create('ledger', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('viewer_id');
            $table->string('kind', 10);
            $table->string('unit', 180);
            $table->bigInteger('delta');
            $table->bigInteger('amount');
            $table->string('event_key', 190);
            $table->dateTime('at', 3);
            $table->index(['channel_id', 'viewer_id', 'kind', 'unit', 'id']);
        });
        Schema::table('channels', function (Blueprint $table): void {
            // The last batch of bookkeeping that was kept.
            $table->unsignedBigInteger('tally')->default(0);
        });
        Schema::table('memory_history', function (Blueprint $table): void {
            $table->string('kind', 20)->default('')->after('channel_id');
            // The folded id of the definition, and whose it is.
            $table->string('name', 180)->default('')->after('kind');
            $table->string('owner', 200)->default('')->after('name');
            $table->unsignedBigInteger('viewer_id')->default(0)->after('owner');
            // By whom: somebody in the chat, or somebody at the screens; nobody where both are empty.
            $table->unsignedBigInteger('by_viewer_id')->default(0)->after('after');
            $table->foreignId('user_id')->nullable()->after('by_viewer_id')->constrained()->nullOnDelete();
            $table->string('command', 180)->default('')->after('user_id');
            $table->index(['channel_id', 'id']);
        });
        $older = new RowsOfVersionOne;
        foreach (DB::table('memory_history')->lazyById(500) as $row) {
            /** @var array<string, null|bool|float|int|string> $row */
            $row = array_diff_key((array) $row, ['kind' => true, 'name' => true, 'owner' => true]);
            DB::table('memory_history')
                ->where('id', $row['id'])
                ->update(
                    array_intersect_key($older->row('memory_history', $row), [
                        'kind' => true,
                        'name' => true,
                        'owner' => true,
                        'user_id' => true,
                    ]),
                );
        }
        foreach (DB::table('channels')->pluck('id') as $channel) {
            (new SortMemory(DB::connection(), is_int($channel) ? $channel : 0))->sort();
        }
        Schema::table('memory_history', function (Blueprint $table): void {
            $table->dropIndex(['channel_id', 'key']);
            $table->dropColumn('key');
        });
    }

    /**
     * @param  list<string>  $owner  columns that say whose it is
     * @param  Closure(Blueprint): mixed  $holds
     */
    private function shelf(string $name, ?string $named, array $owner, Closure $holds): void
    {
        Schema::create($name, function (Blueprint $table) use ($named, $owner, $holds, $name): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            if ($named !== null) {
                $table->string($named, 180);
            }
            foreach ($owner as $column) {
                match ($column) {
                    'viewer_id' => $table->unsignedBigInteger($column)->default(0),
                    'category' => $table->string($column, 180)->default(''),
                    default => $table->string($column, 10)->default(''),
                };
            }
            $holds($table);
            $table->unique(['channel_id', ...($named === null ? [] : [$named]), ...$owner], "{$name}_whole");
        });
    }
};
