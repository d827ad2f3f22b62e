<?php

declare(strict_types=1);

// One of several processes that add to one counter, each in turns of its own: php writer.php NUMBER TURNS

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

use App\Storage\MariaDbStore;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;

$store = new MariaDbStore($app->make('db')->connection(), 1);
$key = Key::counter('writers');
for ($i = 0; $i < (int) $argv[2]; $i++) {
    $store->turn(EventKey::event("writer {$argv[1]} $i"), Reads::of($key), static function (View $memory) use (
        $key,
    ): Tally {
        $kept = $memory->value($key);

        return new Tally([new Change($key, $kept, (is_int($kept) ? $kept : 0) + 1, 'counter.writers', 'channel')]);
    });
}
