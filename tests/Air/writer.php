<?php

declare(strict_types=1);

// One of several processes that write to one memory, each in turns of its own: php writer.php NUMBER TURNS. A turn
// counts one more, keeps a quote, sells one of a hundred lanterns, gives a shell on, and earns one. Whoever is killed
// and started again with the same number does the rest.

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

use App\Storage\MariaDbStore;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;

$store = new MariaDbStore($app->make('db')->connection(), 1);
[$me, $next] = ["account:writer{$argv[1]}", 'account:writer'.(((int) $argv[1]) + 1) % 16];
[$counter, $last, $sold] = [Key::counter('writers'), Key::lastQuote(), Key::sold('lantern')];
[$owns, $has, $gets] = [Key::goods('lantern', $me), Key::field('shells', $me), Key::field('shells', $next)];
$ever = Key::everEarned('shells', $me);
for ($i = 0; $i < (int) $argv[2]; $i++) {
    $turn = static function (View $memory) use ($argv, $i, $counter, $last, $sold, $owns, $has, $gets, $ever): Tally {
        $number = static fn (Key $key): int => is_int($kept = $memory->value($key)) ? $kept : 0;
        $to = static fn (Key $key, int $by): Change => new Change(
            $key,
            $memory->value($key),
            $number($key) + $by,
            $key->kind->value,
            '',
            $by,
        );
        $quote = new Quote($number($last) + 1, "writer {$argv[1]} turn $i");

        return new Tally([
            $to($counter, 1),
            $to($last, 1),
            new Change(Key::quote($quote->number), null, $quote->record(), 'quote', 'channel'),
            ...$number($sold) < 100 ? [$to($sold, 1), $to($owns, 1)] : [],
            ...$number($has) > 0 ? [$to($has, -1), $to($gets, 1)] : [],
            new Change($ever, null, 1, '', '', 1),
        ]);
    };
    $reads = Reads::of($counter, $last, $sold, $owns, $has, $gets);
    $store->turn(EventKey::event("writer {$argv[1]} $i"), $reads, $turn);
}
