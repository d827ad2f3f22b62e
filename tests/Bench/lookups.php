<?php

declare(strict_types=1);

// Look-ups on the air: a reply that reads what is kept against the same with a counter, in turn; a thousand equal
// questions at once; two hundred different ones. Run by `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use App\Air\CachedDetails;
use App\Air\ChannelOnAir;
use App\Air\Details;
use App\Air\RegularsNow;
use App\Air\ServiceWeb;
use App\Storage\MariaDbStore;
use App\Web\WebClient;
use App\Web\WebLookups;
use Ground\Port;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Memory\FoundQuotes;
use SilverParrot\Memory\FoundRanking;
use SilverParrot\Pack\Flood;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;
use Tests\Ground\Sandbox;

use function Amp\async;
use function Amp\Future\await;

const REPLIES = 600;
const EQUAL = 1_000;
const DIFFERENT = 200;

$sandbox = Sandbox::make(sys_get_temp_dir().'/parrot-home-'.bin2hex(random_bytes(4)));
file_put_contents($sandbox->home.'/.env', "HARBOUR_PACE=0\n");
$sandbox->parrot(['up', '--port='.Port::firstFreeFrom(18580)]);
try {
    foreach ($sandbox->environment() as $name => $value) {
        putenv("$name=$value");
    }
    $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
    $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
    $connection = $app->make('db')->connection();
    $connection->update('UPDATE channels SET edition_on_air = NULL');
    // The instance's own talker lets go of it.
    sleep(3);
    [$pack] = PackFormat::read((string) $connection->scalar('SELECT document FROM editions LIMIT 1'));
    $pack = $pack
        ->withCommand(Say::on('!kept', 'It is [lookup.shop.lantern] now.')->gated(Cooldown::none()), '!kept')
        ->withCommand(Say::on('!counted', 'It is [counter.planks] now.')->gated(Cooldown::none()), '!counted')
        ->withCommand(Say::on('!port', '[lookup.ports.number name=words or "none"]')->gated(Cooldown::none()), '!port');
    $details = "127.0.0.1:{$sandbox->setting('HARBOUR_DETAILS_PORT')}";
    $channel = static function () use ($connection, $pack, $details): ChannelOnAir {
        $on = new ChannelOnAir(
            1,
            'lantern_cove',
            0,
            's',
            new Driver(new EventHandler, new MariaDbStore($connection, 1)),
            new CachedDetails(new Details(new ServiceWeb('127.0.0.1:1')), 'lantern_cove'),
            static fn (): null => null,
            ChatProfile::stream(),
            new SearchedReadings(
                new FoundQuotes(static fn (): array => []),
                new FoundRanking(static fn (): array => []),
            ),
            new MessageKeys,
            new RegularsNow($connection, 1),
            WebLookups::of($connection, 1, new WebClient($details)),
        );
        $on->pack = $pack->withFlood(new Flood(0, 0));

        return $on;
    };
    $connection->update('UPDATE channels SET lease_epoch = 0');
    $number = 0;
    $hear = static function (ChannelOnAir $on, string $text) use (&$number): array {
        $number++;
        $odo = Person::known('account:odo', 'odo', 'Odo', Levels::of());
        $line = new ChatLine("bench-$number", $odo, $text, Moment::of(now()));
        $sayings = $on->hear($line) ?? [];
        $on->unwritten = [];

        return array_map(static fn ($one): string => $one->text, $sayings);
    };
    $asked = static fn (string $source): int => json_decode(
        (string) file_get_contents("http://$details/sources/asked"),
        true,
    )[$source] ?? 0;

    $on = $channel();
    $first = $hear($on, '!kept');
    if ($first !== ['It is 42.5 now.']) {
        fwrite(STDERR, 'the look-up says: '.json_encode($first)."\n");
        exit(1);
    }
    $times = ['!kept' => [], '!counted' => []];
    for ($i = 0; $i < REPLIES; $i++) {
        foreach ($i % 2 === 0 ? ['!kept', '!counted'] : ['!counted', '!kept'] as $what) {
            $start = hrtime(true);
            $hear($on, $what);
            $times[$what][] = hrtime(true) - $start;
        }
    }
    $median = static function (array $took): float {
        sort($took);

        return $took[intdiv(count($took), 2)] / 1e6;
    };
    printf(
        "%-60s %5.2f  (at most 1.20; %.2f ms and %.2f ms)\n",
        'a reply with a kept look-up, to one with a counter',
        $median($times['!kept']) / $median($times['!counted']),
        $median($times['!kept']),
        $median($times['!counted']),
    );

    $connection->delete('DELETE FROM web_answers');
    $before = $asked('shop');
    $on = $channel();
    $start = hrtime(true);
    await(array_map(
        static fn (int $i) => async(static fn (): array => $hear($on, '!kept')),
        range(1, EQUAL),
    ));
    printf(
        "%-60s %5d  (at most 1; in %.2f s)\n",
        'how often '.EQUAL.' equal questions at once ask the source',
        $asked('shop') - $before,
        (hrtime(true) - $start) / 1e9,
    );

    $connection->delete('DELETE FROM web_hosts');
    $before = $asked('ports');
    $on = $channel();
    $start = hrtime(true);
    $memory = memory_get_usage();
    for ($i = 0; $i < DIFFERENT; $i++) {
        $hear($on, "!port word$i");
    }
    printf(
        "%-60s %5d  (at most 10 a minute; in %.2f s, %+d kB)\n",
        'how often '.DIFFERENT.' different questions ask the source',
        $asked('ports') - $before,
        (hrtime(true) - $start) / 1e9,
        intdiv(memory_get_usage() - $memory, 1_024),
    );
} finally {
    $sandbox->remove();
}
