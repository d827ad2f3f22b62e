<?php

declare(strict_types=1);

// Another process beside the talker: it looks at memory as it is when it begins, waits until it is told the number of
// the last line of the log, and then hears what was written meanwhile, as a rehearsal does: the lines with their keys
// and moments, the edition on the air, the same seed. php replayer.php FIRST; answers with JSON.

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

use App\Air\Log;
use App\Air\LogEntry;
use App\Models\Channel;
use App\Publish\Editions;
use App\Storage\MemoryRows;
use Illuminate\Support\Facades\DB;
use SilverParrot\Format\PackFormat;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Wording;

$channel = Channel::query()->findOrFail(1);
$pack = $app->make(Editions::class)->onAir($channel, true) ?? exit(1);
// Those who wrote are themselves, and nobody of the cast.
$pack = PackFormat::read(json_encode(
    ['cast' => []] + (array) json_decode(PackFormat::write($pack), true),
    JSON_THROW_ON_ERROR,
))[0];
config(['database.connections.now' => config('database.connections.'.config('database.default'))]);
DB::statement('SET SESSION idle_transaction_timeout = 0');
DB::statement('SET SESSION TRANSACTION ISOLATION LEVEL REPEATABLE READ');
DB::statement('START TRANSACTION WITH CONSISTENT SNAPSHOT');
echo "there\n";
$last = (int) fgets(STDIN);
$lines = array_filter(
    (new Log(DB::connection('now')))->last(1, 5_000, (int) $argv[1]),
    static fn (LogEntry $one): bool => $one->kind === LogEntry::HEARD && $one->number <= $last,
);
// What the outside told is no part of what a rehearsal reckons: it is told again.
$told = array_merge([], ...array_column($lines, 'readings'));
$rehearsal = new Rehearsal(
    $pack,
    $app->make(MemoryRows::class)->copy($channel)->as([], $told),
    $channel->seed,
    $channel->profile(),
    false,
    wording: $app->make(Wording::class),
);
$heard = [];
foreach ($lines as $line) {
    $outcome = $rehearsal->hear($line->line());
    $heard[] = [
        'key' => $line->key,
        'text' => $line->text,
        'said' => $outcome->texts(),
        'why' => $outcome->closed->gate ?? ($outcome->failed->reason ?? ''),
        'air' => DB::connection('now')
            ->table('outgoing')
            ->where('channel_id', 1)
            ->where('event_key', $line->key)
            ->orderBy('position')
            ->pluck('text')
            ->all(),
    ];
}
echo json_encode($heard, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), "\n";
