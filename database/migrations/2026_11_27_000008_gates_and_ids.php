<?php

declare(strict_types=1);

use App\Storage\Backup\RowsOfVersionOne;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is set of a command's gates is kept as documents have it, a response has steps, and every definition an id that
 * stays.
 */
return new class extends Migration
{
    /** Tables whose rows get an id, and within what it is the only one. */
    private const IDENTIFIED = [
        'commands' => 'channel_id',
        'command_responses' => 'command_id',
        'facts' => 'channel_id',
        'lists' => 'channel_id',
        'list_items' => 'list_id',
        'counters' => 'channel_id',
        'occasions' => 'channel_id',
        'fields' => 'channel_id',
        'goods' => 'channel_id',
        'ladders' => 'channel_id',
        'emotes' => 'channel_id',
    ];

    public function up(): void
    {
        foreach (array_keys(self::IDENTIFIED) as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->string('stable_id', 60)->nullable()->after('channel_id');
            });
        }
        Schema::table('commands', function (Blueprint $table): void {
            // By the key of the setting, as the pack document has it; what is left out is as usual.
            $table->json('gates')->default('{}')->after('trigger_folded');
            $table->json('refusals')->default('{}')->after('gates');
        });
        Schema::table('command_responses', function (Blueprint $table): void {
            $table->json('steps')->default('[]')->after('position');
        });
        $older = new RowsOfVersionOne;
        foreach (array_keys(self::IDENTIFIED) as $name) {
            foreach (DB::table($name)->orderBy('id')->lazyById(500) as $row) {
                /** @var array<string, null|bool|float|int|string> $row */
                $row = array_diff_key((array) $row, [
                    'stable_id' => true,
                    'gates' => true,
                    'refusals' => true,
                    'steps' => true,
                ]);
                DB::table($name)
                    ->where('id', $row['id'])
                    ->update(
                        array_intersect_key($older->row($name, $row), [
                            'stable_id' => true,
                            'gates' => true,
                            'refusals' => true,
                            'steps' => true,
                        ]),
                    );
            }
        }
        foreach (self::IDENTIFIED as $name => $within) {
            Schema::table($name, static function (Blueprint $table) use ($within): void {
                $table->string('stable_id', 60)->nullable(false)->change();
                $table->unique([$within, 'stable_id']);
            });
        }
        Schema::table('commands', function (Blueprint $table): void {
            $table->dropColumn([
                'any_of',
                'at_least',
                'channel_cooldown',
                'person_cooldown',
                'enabled',
                'level_refusal',
                'cooldown_refusal',
            ]);
        });
        Schema::table('command_responses', function (Blueprint $table): void {
            $table->dropColumn('text');
        });
    }
};
