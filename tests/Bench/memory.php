<?php

declare(strict_types=1);

// What is remembered, searched among many and among few: 200,000 viewers to 1,000, 10,000 quotes to 1,000;
// and what a count through the store costs beside the same rows written by hand. Run by `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use App\Air\KeptStatements;
use App\Remember\Viewers\FindViewers;
use App\Storage\MariaDbQuotes;
use App\Storage\MariaDbStore;
use Illuminate\Support\Facades\DB;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use Tests\Bench\BenchApplication;
use Tests\Bench\Budget;

$budget = new Budget;
$bench = BenchApplication::start();
$median = static function (callable $work, int $times): float {
    $took = [];
    for ($round = 0; $round < 9; $round++) {
        $since = hrtime(true);
        for ($i = 0; $i < $times; $i++) {
            $work($round * $times + $i);
        }
        $took[] = (hrtime(true) - $since) / 1e6 / $times;
    }
    sort($took);

    return $took[4];
};
try {
    $channels = [];
    foreach (['few' => [1_000, 1_000], 'many' => [200_000, 10_000]] as $name => [$viewers, $quotes]) {
        $channel = $bench->channel($name);
        $channels[$name] = $channel;
        DB::statement(
            'INSERT INTO viewers (channel_id, service, service_id, login, name, logins_before, levels, tier, '
                ."first_seen, last_seen, `lines`) SELECT ?, 'service.example', seq, "
                ."CONCAT('viewer', LPAD(seq, 7, '0')), "
                ."CONCAT('Viewer', seq), '[]', '[]', 0, UTC_TIMESTAMP() - INTERVAL seq SECOND, UTC_TIMESTAMP() - "
                ."INTERVAL seq SECOND, CRC32(seq) % 5000 FROM seq_1_to_$viewers",
            [$channel->id],
        );
        DB::statement(
            'INSERT INTO viewer_names (channel_id, name, viewer_id) SELECT channel_id, login, id FROM viewers WHERE '
                .'channel_id = ?',
            [$channel->id],
        );
        DB::statement(
            "INSERT INTO balances (channel_id, kind, unit, viewer_id, amount) SELECT channel_id, 'field', 'pebbles', "
                .'id, CRC32(login) FROM viewers WHERE channel_id = ?',
            [$channel->id],
        );
        DB::statement(
            "INSERT INTO quotes (channel_id, number, text) SELECT ?, seq, CONCAT('gull number ', seq) FROM "
                ."seq_1_to_$quotes",
            [$channel->id],
        );
        foreach (["'gull'", "CONCAT('w', seq % 500)", "CONCAT('n', LPAD(seq, 6, '0'))"] as $word) {
            DB::statement(
                "INSERT INTO quote_words (channel_id, word, number) SELECT ?, $word, seq FROM seq_1_to_$quotes",
                [$channel->id],
            );
        }
    }
    DB::statement('ANALYZE TABLE viewers, viewer_names, balances, quotes, quote_words');
    $against = static function (string $what, callable $work, int $times) use ($median, $channels, &$missed): void {
        [$few, $many] = array_map(
            static fn ($channel): float => $median(static fn (int $i) => $work($channel, $i), $times),
            [$channels['few'], $channels['many']],
        );
        $missed = ($missed ?? 0) + ($many > 2 * $few ? 1 : 0);
        $told = $many > 2 * $few ? ', MISSED' : '';
        printf("%-60s %.3f ms, %.2f of what few take%s\n", $what, $many, $many / $few, $told);
    };
    $find = new FindViewers(DB::connection());
    $byName = static fn ($of, int $i) => $find->of($of, sprintf('viewer%07d', 900 - $i % 90), 'last_seen', 1);
    $against('a viewer by a name', $byName, 20);
    $against('viewers with most lines', static fn ($of) => $find->of($of, '', 'lines', 1), 20);
    $against('viewers with most points', static fn ($of) => $find->of($of, '', 'unit pebbles', 1), 20);
    $against('quotes by a word', static function ($of, int $i): void {
        $quotes = new MariaDbQuotes(DB::connection(), $of->id);
        $quotes->some(QuoteSearch::words(sprintf('n%06d', 1 + $i % 900)), 0, 50, isNewestFirst: true);
    }, 20);

    // The talker's connection, and the same rows by hand on one like it.
    $dsn = sprintf('mysql:host=127.0.0.1;port=%s;dbname=%s', getenv('DB_PORT'), getenv('DB_DATABASE'));
    $options = [PDO::ATTR_EMULATE_PREPARES => false, PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION];
    $pdo = new KeptStatements($dsn, getenv('DB_USERNAME') ?: '', getenv('DB_PASSWORD') ?: '', $options);
    $channel = $channels['few']->id;
    $own = DB::connection();
    $own->setPdo($pdo)->setReadPdo($pdo);
    $store = new MariaDbStore($own, $channel);
    $planks = Key::counter('planks');
    $counted = static fn (int $i) => $store->turn(
        EventKey::event("e$i"),
        Reads::of($planks),
        static function (View $memory) use ($planks): Tally {
            $number = $memory->value($planks);
            $number = is_int($number) ? $number : 0;

            return new Tally([new Change($planks, $number, $number + 1, 'counter.planks', 'channel', 1)]);
        },
    );
    $by = new PDO($dsn, getenv('DB_USERNAME') ?: '', getenv('DB_PASSWORD') ?: '', $options);
    $statements = array_map($by->prepare(...), [
        'SELECT lease_epoch, tally FROM channels WHERE id = ? FOR UPDATE',
        'INSERT INTO heard_events (channel_id, event_key, heard_at) VALUES (?, ?, UTC_TIMESTAMP(3))',
        "SELECT * FROM counter_numbers WHERE channel_id = ? AND counter = 'oars' AND viewer_id = 0",
        'INSERT INTO counter_numbers (channel_id, counter, viewer_id, owner_kind, category, number, period) VALUES (?, '
            ."'oars', 0, 'channel', '', ?, NULL) ON DUPLICATE KEY UPDATE number = VALUES(number)",
        'INSERT INTO memory_history (channel_id, kind, name, owner, viewer_id, `before`, after, added, by_viewer_id, '
            ."user_id, command, event_key, at) VALUES (?, 'counter', 'oars', '', 0, ?, ?, 1, 0, NULL, '', ?, "
            .'UTC_TIMESTAMP(3))',
    ]);
    $hand = static function (int $i) use ($by, $statements, $channel): void {
        $by->beginTransaction();
        foreach ([[$channel], [$channel, "h$i"], [$channel]] as $at => $values) {
            $statements[$at]->execute($values);
            $at === 1 ?: $statements[$at]->fetchAll();
        }
        $statements[3]->execute([$channel, $i]);
        $statements[4]->execute([$channel, (string) $i, (string) ($i + 1), "h$i"]);
        $by->commit();
    };
    $ratios = [];
    for ($round = 0; $round < 5; $round++) {
        $ratios[] = $median(static fn (int $i) => $counted($round * 10_000 + $i), 60)
            / $median(static fn (int $i) => $hand($round * 10_000 + $i), 60);
    }
    sort($ratios);
    $missed += $ratios[2] > 1.5 ? 1 : 0;
    $told = $ratios[2] > 1.5 ? ', MISSED' : '';
    printf("%-60s %.2f of at most 1.50%s\n", 'a count through the store, to the same rows by hand', $ratios[2], $told);
} finally {
    $bench->end();
}
exit($missed === 0 ? $budget->exitCode() : 1);
