<?php

declare(strict_types=1);

// A reply on the air while both workers hear long rehearsals, beside a reply while they rest, in turn. Run by
// `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use App\Models\Channel;
use App\Models\RehearsalRow;
use App\Models\User;
use App\Rehearse\Evenings\EveningPlan;
use App\Rehearse\Evenings\Evenings;
use Ground\Port;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Flood;
use SilverParrot\Rehearsal\Crowd\CrowdPreset;
use SilverParrot\Rehearsal\RehearsalState;
use SilverParrot\Value\Moment;
use Tests\Air\ChatClient;
use Tests\Ground\Sandbox;

const ROUNDS = 3;
// The chat takes a hundred in half a minute from whoever has rights there.
const REPLIES = 90;
const WINDOW = 31;

$percentile = static function (array $took, float $part): float {
    sort($took);

    return $took[min(count($took) - 1, (int) (count($took) * $part))] / 1e6;
};
$sandbox = Sandbox::make(sys_get_temp_dir().'/parrot-home-'.bin2hex(random_bytes(4)));
file_put_contents($sandbox->home.'/.env', "HARBOUR_PACE=0\n");
$sandbox->parrot(['up', '--port='.Port::firstFreeFrom(18680)]);
try {
    $database = $sandbox->database();
    [$pack] = PackFormat::read((string) $database->query('SELECT document FROM editions LIMIT 1')->fetchColumn());
    $pack = $pack->withFlood(new Flood(0, 0))->withTimers([])->withCommand(
        Say::on('!count', '[add 1 to counter.bench] so far')->gated(Cooldown::none()),
        '!count',
    );
    $document = (array) json_decode(PackFormat::write($pack), true);
    $document['counters'] = [...(array) ($document['counters'] ?? []), ['name' => 'bench']];
    $database
        ->prepare(
            'INSERT INTO editions (channel_id, number, note, document, created_at) VALUES (1, 2, "", ?, '
                .'UTC_TIMESTAMP())',
        )
        ->execute([json_encode($document)]);
    $database->exec('UPDATE channels SET edition_on_air = 2');
    foreach ($sandbox->environment() as $name => $value) {
        putenv("$name=$value");
    }
    $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
    $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
    $evenings = $app->make(Evenings::class);
    [$channel, $user] = [Channel::query()->findOrFail(1), User::query()->firstOrFail()];
    sleep(4);
    $port = (int) $sandbox->setting('HARBOUR_CHAT_PORT');
    $number = 0;
    $replies = static function () use ($port, &$number): array {
        $took = [];
        for ($i = 0; $i < REPLIES; $i++) {
            // The harbour lets one account say twenty lines in half a minute.
            $viewer = $i % 15 === 0 ? ChatClient::join($port, 'viewer'.$number++, 'lantern_cove') : $viewer;
            $said = count($viewer->saidBy('silver_parrot'));
            $start = hrtime(true);
            $viewer->say('!count');
            for ($end = $start + 5e9; count($viewer->saidBy('silver_parrot')) === $said && hrtime(true) < $end;) {
                usleep(50);
            }
            $took[] = hrtime(true) - $start;
        }

        return $took;
    };
    $rest = $busy = [];
    for ($round = 0; $round < ROUNDS; $round++) {
        array_push($rest, ...$replies());
        sleep(WINDOW);
        $rows = [];
        foreach (['1', '2'] as $seed) {
            $rows[] = $evenings->begin($channel, $user, new EveningPlan(
                CrowdPreset::Busy->description()->sized(150, 600, 200_000),
                "$seed $round",
                Moment::of(now()),
            )) ?? throw new RuntimeException('Too many are open.');
        }
        $isBusy = static fn (): bool => RehearsalRow::query()
            ->whereKey(array_column($rows, 'id'))
            ->where('state', RehearsalState::Running->value)
            ->count() === 2;
        for ($tries = 0; $tries < 200 && ! $isBusy(); $tries++) {
            usleep(50_000);
        }
        array_push($busy, ...$replies());
        if (! $isBusy()) {
            throw new RuntimeException('The workers were through before the replies were.');
        }
        array_map($evenings->stop(...), $rows);
        sleep(WINDOW);
    }
    $missed = 0;
    foreach ([[0.5, 'p50', 1.2], [0.99, 'p99', 1.5]] as [$part, $name, $most]) {
        [$without, $with] = [$percentile($rest, $part), $percentile($busy, $part)];
        $isMissed = $with / $without > $most;
        $missed += $isMissed ? 1 : 0;
        printf(
            "%-60s %s %.2f ms to %.2f ms: %.2f, at most %.1f%s\n",
            'a reply while both workers hear, to one while they rest',
            $name,
            $with,
            $without,
            $with / $without,
            $most,
            $isMissed ? ', MISSED' : '',
        );
    }
} finally {
    $sandbox->remove();
}
exit($missed > 0 ? 1 : 0);
