<?php

declare(strict_types=1);

// What a page asks for while somebody writes, in a channel of 2,000 commands and 200,000 viewers, and then of 3,000
// definitions too; each with what it may take at most. Run by `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use App\Models\User;
use App\Publish\PublishPreviews;
use App\Storage\CommandRepository;
use App\Storage\MariaDbRanking;
use App\Write\CommandList;
use App\Write\FindCommands;
use App\Write\Findings;
use App\Write\Preview;
use App\Write\ReferenceController;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use Tests\Bench\BenchApplication;
use Tests\Bench\Budget;

$budget = new Budget;
$bench = BenchApplication::start();
try {
    $app = $bench->app;
    $cove = $bench->channel(details: ['live' => true, 'category' => 'Planking']);
    auth()->setUser(User::query()->firstOrFail());
    $paint = static fn (string $find): string => view(
        'write.partials.entries',
        $app->make(CommandList::class)->shown(Request::create('/', parameters: ['find' => $find]), $cove),
    )->render();
    // The list shows 20 lines at first, of as many commands as there are.
    DB::table('commands')->whereNotIn('id', DB::table('commands')->orderBy('id')->limit(20)->pluck('id'))->delete();
    do {
        $left = $app->make(Findings::class)->of($cove, null)->left;
    } while ($left > 0);
    $few = [
        '' => $budget->median(3, static fn () => $paint('')),
        'e' => $budget->median(3, static fn () => $paint('e')),
    ];
    $row = (array) DB::table('commands')->where('trigger', '!tide')->first();
    unset($row['id']);
    foreach (array_chunk(range(1, 2_000 - DB::table('commands')->count()), 500) as $some) {
        DB::table('commands')->insert(
            array_map(
                static fn (int $i): array => [
                    'trigger' => "!more$i",
                    'trigger_folded' => "!more$i",
                    'stable_id' => "!more$i",
                ] + $row,
                $some,
            ),
        );
    }
    DB::statement(
        'INSERT INTO command_responses (channel_id, command_id, stable_id, position, steps, weight) SELECT '
            ."channel_id, id, '0', 0, '[{\"say\":\"[caller] knows [fact.tide]\"}]', 1 FROM commands WHERE stable_id "
            ."LIKE '!more%'",
    );
    DB::statement(
        'INSERT INTO viewers (channel_id, service, service_id, login, name, logins_before, levels, tier, first_seen, '
            ."last_seen, `lines`) SELECT ?, 'service.example', seq, CONCAT('viewer', seq), CONCAT('Viewer', seq), "
            ."'[]', '[]', 0, UTC_TIMESTAMP(), UTC_TIMESTAMP(), 1 FROM seq_1_to_200000",
        [$cove->id],
    );
    DB::statement(
        "INSERT INTO balances (channel_id, kind, unit, viewer_id, amount) SELECT channel_id, 'field', 'pebbles', id, "
            .'CRC32(login) FROM viewers WHERE channel_id = ?',
        [$cove->id],
    );
    DB::statement('ANALYZE TABLE viewers, balances, commands, command_responses');

    do {
        $left = $app->make(Findings::class)->of($cove, null)->left;
    } while ($left > 0);
    foreach (['first lines' => '', 'search after a key' => 'e'] as $what => $find) {
        $budget->of(
            "$what of 2,000 commands, to 1.3 times those of 20",
            1.3 * $few[$find],
            3,
            static fn () => $paint($find),
        );
    }
    $budget->of(
        'search after a key, 200 of 2,000 commands',
        30,
        1,
        static fn () => $app->make(FindCommands::class)->in($cove, 'more', most: 200),
    );
    $ids = array_values(array_filter(
        DB::table('commands')->orderBy('id')->limit(1_000)->pluck('id')->all(),
        is_int(...),
    ));
    $isOn = true;
    $budget->of(
        'switching 1,000 commands at once',
        5_000,
        1,
        static function () use ($app, $cove, $ids, &$isOn): void {
            $isOn = ! $isOn;
            $switched = static fn (Command $one): Command => $one->gated(new Enabled($isOn));
            $app->make(CommandRepository::class)->changeAll($cove, $ids, $switched, User::query()->firstOrFail());
        },
        3,
    );
    $budget->of(
        'the publish page, 2,000 commands',
        500,
        1,
        static fn () => $app->make(PublishPreviews::class)->at($cove),
    );

    $definition = static fn (int $i): array => [
        'channel_id' => $cove->id,
        'stable_id' => "d$i",
        'name' => "d$i",
        'name_folded' => "d$i",
    ];
    $thousand = static fn (string $table, array $more): bool => DB::table($table)->insert(
        array_map(static fn (int $i): array => $definition($i) + $more, range(1, 1_000)),
    );
    $thousand('facts', ['text' => 'some text of a fact']);
    $thousand('counters', ['scope' => 'channel', 'start' => 0, 'reset' => 'never']);
    $thousand('lists', ['draw_order' => 'free']);
    DB::statement(
        'INSERT INTO list_items (channel_id, stable_id, list_id, position, text, weight) SELECT l.channel_id, '
            ."CONCAT('n', s.seq), l.id, 100 + s.seq, CONCAT('item ', s.seq), 1 FROM lists l, seq_1_to_5 s WHERE "
            ."l.stable_id LIKE 'd%'",
    );
    DB::statement('ANALYZE TABLE facts, counters, lists, list_items');
    $budget->of(
        'the reference beside the text, 3,000 definitions',
        200,
        1,
        static fn () => $app->make(ReferenceController::class)($cove),
    );
    $ranking = new MariaDbRanking(DB::connection(), $cove->id);
    $budget->of('ranking, 200,000 viewers', 5, 20, static fn () => $ranking->top('pebbles', 10));
    DB::statement(
        'INSERT INTO list_items (channel_id, stable_id, list_id, position, text, weight) SELECT channel_id, '
            ."CONCAT('k', s.seq), id, 1000 + s.seq, CONCAT('knot ', s.seq), 1 FROM lists, seq_1_to_10000 s WHERE name "
            ."= 'knots'",
    );
    $preview = static fn (int $i) => $app
        ->make(Preview::class)
        ->of($cove, Say::on('!new', "[caller] ties [list.knots] $i"), 0, '', '');
    $budget->of('a preview after a key, 3,000 definitions, a list of 10,000', 150, 1, $preview);
} finally {
    $bench->end();
}
exit($budget->exitCode());
