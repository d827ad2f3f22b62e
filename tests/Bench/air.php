<?php

declare(strict_types=1);

// The talker: a reply over loopback against a bare echo, in turn; a turn against the same statements by hand, in turn;
// lines that set nothing off; memory after many lines. Run by `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use App\Air\CachedDetails;
use App\Air\ChannelOnAir;
use App\Air\Details;
use App\Air\Log;
use App\Air\ServiceWeb;
use App\Air\Tallies;
use App\Storage\MariaDbStore;
use Ground\Port;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Saying;
use SilverParrot\Chat\Wire\IrcLine;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;
use Tests\Air\ChatClient;
use Tests\Ground\Sandbox;

const REPLIES = 270;
const TURNS = 1_000;
const SILENT = 20_000;
const MANY = 100_000;

$percentile = static function (array $took, float $part): float {
    sort($took);

    return $took[min(count($took) - 1, (int) (count($took) * $part))] / 1e6;
};
$told = static fn (string $what, array $took): string => sprintf(
    "%-60s p50 %.2f ms, p99 %.2f ms (%d)\n",
    $what,
    $percentile($took, 0.5),
    $percentile($took, 0.99),
    count($took),
);

// On the disk, as where people run it.
$sandbox = Sandbox::make(sys_get_temp_dir().'/parrot-home-'.bin2hex(random_bytes(4)));
file_put_contents($sandbox->home.'/.env', "HARBOUR_PACE=0\n");
$sandbox->parrot(['up', '--port='.Port::firstFreeFrom(18480)]);
try {
    $database = $sandbox->database();
    [$pack] = PackFormat::read((string) $database->query('SELECT document FROM editions LIMIT 1')->fetchColumn());
    $document = json_decode(
        PackFormat::write(
            $pack->withCommand(
                Say::on('!count', '[add 1 to counter.planks] planks')->gated(Cooldown::none()),
                '!count',
            ),
        ),
        true,
    );
    $document['flood'] = ['person' => 0, 'channel' => 0];
    $document['counters'][0] = ['name' => 'planks'];
    $database->prepare('UPDATE editions SET document = ?')->execute([json_encode($document)]);
    $database->exec(
        'INSERT INTO editions (channel_id, number, note, document, created_at) SELECT 1, 2, "", document, '
            .'UTC_TIMESTAMP() FROM editions LIMIT 1',
    );
    $database->exec('UPDATE channels SET edition_on_air = 2');

    // A reply, from the line's last byte to the answer's, and an echo between each two of them.
    $echoPort = Port::firstFreeFrom(28480);
    $echo = proc_open(
        [PHP_BINARY, __DIR__.'/echo.php', (string) $echoPort],
        [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['redirect', 1]],
        $pipes,
    );
    for ($tries = 0; $tries < 200 && ! Port::answers($echoPort); $tries++) {
        usleep(25_000);
    }
    sleep(4);
    $bare = stream_socket_client("tcp://127.0.0.1:$echoPort");
    $answer = static function (ChatClient $viewer, int $before): void {
        for ($end = hrtime(true) + 5e9; count($viewer->saidBy('silver_parrot')) === $before && hrtime(true) < $end;) {
            usleep(50);
        }
    };
    $replies = $echoes = [];
    $port = (int) $sandbox->setting('HARBOUR_CHAT_PORT');
    $watch = ChatClient::join($port, 'watch', 'lantern_cove');
    for ($i = 0; $i < REPLIES; $i++) {
        if ($i > 0 && $i % 90 === 0) {
            // The chat takes a hundred in half a minute from whoever has rights there.
            sleep(31);
        }
        // The harbour lets one account say twenty lines in half a minute.
        $viewer = $i % 15 === 0 ? ChatClient::join($port, "viewer$i", 'lantern_cove') : $viewer;
        $said = count($viewer->saidBy('silver_parrot'));
        $start = hrtime(true);
        $viewer->say('!count');
        $answer($viewer, $said);
        $replies[] = hrtime(true) - $start;
        $start = hrtime(true);
        fwrite($bare, "PRIVMSG #lantern_cove :!count\r\n");
        fgets($bare);
        $echoes[] = hrtime(true) - $start;
    }
    proc_terminate($echo);
    echo $told('a bare echo over loopback', $echoes), $told('a reply over loopback, the harbour in between', $replies);

    // One turn and the same rows by hand, each in its own connection.
    foreach ($sandbox->environment() as $name => $value) {
        putenv("$name=$value");
    }
    $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
    $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
    $connection = $app->make('db')->connection();
    $statements = 0;
    $connection->beforeExecuting(static function () use (&$statements): void {
        $statements++;
    });
    $store = new MariaDbStore($connection, 1);
    [$counter, $cooldown] = [Key::counter('bench'), Key::lastRun('!bench')];
    $turn = static function (string $key) use ($store, $counter, $cooldown): void {
        $store->turn(EventKey::event($key), Reads::of($counter, $cooldown), static function (View $memory) use (
            $counter,
            $cooldown,
        ): Outcome {
            $kept = $memory->value($counter);

            return new Outcome(
                sayings: [new Saying('done')],
                changes: [
                    new Change($counter, $kept, (is_int($kept) ? $kept : 0) + 1, 'counter.bench', 'channel'),
                    new Change(
                        $cooldown,
                        $memory->value($cooldown),
                        random_int(1, PHP_INT_MAX),
                        'channel cooldown',
                        'channel',
                    ),
                ],
            );
        });
    };
    $pdo = $sandbox->database();
    $pdo->exec('SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED');
    $pdo->setAttribute(PDO::ATTR_EMULATE_PREPARES, false);
    $commits = [];
    $byHand = static function (string $key) use ($pdo, &$commits): void {
        $run = static function (string $query, array $values) use ($pdo): PDOStatement {
            $statement = $pdo->prepare($query);
            $statement->execute($values);

            return $statement;
        };
        $pdo->beginTransaction();
        $run('SELECT lease_epoch FROM channels WHERE id = ? FOR UPDATE', [1])->fetch();
        $run('INSERT INTO heard_events (channel_id, event_key, heard_at) VALUES (?, ?, UTC_TIMESTAMP(3))', [1, $key]);
        $kept = (int) $run(
            'SELECT number FROM counter_numbers WHERE channel_id = ? AND counter = ? AND viewer_id = 0 AND owner_kind '
                ."= 'channel' AND category = ''",
            [1, 'bench'],
        )->fetchColumn();
        $run('SELECT last_run FROM cooldowns WHERE channel_id = ? AND command = ? AND viewer_id = 0', [
            1,
            '!bench',
        ])->fetchColumn();
        $run(
            'INSERT INTO counter_numbers (channel_id, counter, viewer_id, owner_kind, category, number) VALUES (?, ?, '
                ."0, 'channel', '', ?) ON DUPLICATE KEY UPDATE number = VALUES(number)",
            [1, 'bench', $kept + 1],
        );
        $run(
            'INSERT INTO cooldowns (channel_id, command, viewer_id, last_run) VALUES (?, ?, 0, ?) ON DUPLICATE KEY '
                .'UPDATE last_run = VALUES(last_run)',
            [1, '!bench', random_int(1, PHP_INT_MAX)],
        );
        $run(
            'INSERT INTO memory_history (channel_id, kind, name, owner, `before`, after, event_key, at) VALUES (?, '
                ."'counter', ?, '', ?, ?, ?, ?)",
            [1, 'bench', json_encode($kept), json_encode($kept + 1), $key, gmdate('Y-m-d H:i:s')],
        );
        $run(
            'INSERT INTO outgoing (channel_id, event_key, position, text, voice, place, answer_to, to_login, state, '
                ."queued_at) VALUES (?, ?, 0, ?, 'parrot', 'chat', '', '', 'stale', ?)",
            [1, $key, 'done', gmdate('Y-m-d H:i:s')],
        );
        $start = hrtime(true);
        $pdo->commit();
        $commits[] = hrtime(true) - $start;
    };
    // The talker of this instance would say what these turns queue.
    $database->exec('UPDATE channels SET edition_on_air = NULL');
    sleep(2);
    $times = ['turn' => [], 'hand' => []];
    for ($i = 0; $i < TURNS; $i++) {
        foreach ($i % 2 === 0 ? ['turn', 'hand'] : ['hand', 'turn'] as $side) {
            $before = $statements;
            $start = hrtime(true);
            $side === 'turn' ? $turn("turn $i") : $byHand("hand $i");
            $times[$side][] = hrtime(true) - $start;
            $perTurn = $side === 'turn' ? $statements - $before : $perTurn;
        }
    }
    echo $told('a turn', $times['turn']),
    $told('the same rows by hand (6 statements and a commit)', $times['hand']),
    $told('of which the commit alone', $commits);
    printf(
        "%-60s %5.2f  (%d statements and a commit)\n",
        'a turn, to the same rows by hand',
        $percentile($times['turn'], 0.5) / $percentile($times['hand'], 0.5),
        $perTurn,
    );

    // Lines that set nothing off, from the wire's bytes to the log, and what the talker's memory does meanwhile.
    $channel = new ChannelOnAir(
        1,
        'lantern_cove',
        0,
        's',
        new Driver(new Talker, $store),
        new CachedDetails(new Details(new ServiceWeb('127.0.0.1:1')), 'lantern_cove'),
        static fn (): null => null,
        ChatProfile::stream(),
        new \SilverParrot\Lookup\SearchedReadings(
            new \SilverParrot\Memory\FoundQuotes(static fn (): array => []),
            new \SilverParrot\Memory\FoundRanking(static fn (): array => []),
        ),
        new \SilverParrot\Source\MessageKeys,
        new \App\Air\RegularsNow($connection, 1),
        \App\Web\WebLookups::of($connection, 1),
    );
    $channel->pack = $pack;
    $log = new Log($connection);
    $hear = static function (int $i) use ($channel, $log, $store): void {
        $line = IrcLine::parse(
            "@msgid=m-$i;time=2026-11-25T20:00:00.000Z;account=viewer"
                .$i % 60
                ." :viewer!v@h PRIVMSG #lantern_cove :back from the slipway, number $i",
        );
        $person = Person::known(
            'account:'.$line->tags['account'],
            $line->tags['account'],
            $line->tags['account'],
            Levels::of(),
        );
        $channel->hear(
            new ChatLine($line->tags['msgid'], $person, $line->param(1), Moment::fromIso($line->tags['time'])),
        );
        if ($i % 500 === 0) {
            [$lines, $channel->unwritten] = [$channel->unwritten, []];
            $log->keep(1, $lines);
            Tallies::keep($channel, $store);
        }
    };
    $start = hrtime(true);
    for ($i = 0; $i < SILENT; $i++) {
        $hear($i);
    }
    printf(
        "%-60s %d lines a second\n",
        'lines that set nothing off, logged and tallied',
        (int) (SILENT / ((hrtime(true) - $start) / 1e9)),
    );
    gc_collect_cycles();
    $before = memory_get_usage();
    for (; $i < SILENT + MANY; $i++) {
        $hear($i);
    }
    gc_collect_cycles();
    printf(
        "%-60s %+.1f kB\n",
        'memory of the talker after '.number_format(MANY).' more lines',
        (memory_get_usage() - $before) / 1024,
    );
} finally {
    $sandbox->remove();
}
