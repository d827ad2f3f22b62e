<?php

declare(strict_types=1);

// What a rehearsal of a whole evening costs, in CPU time: lines a second for the demo and a crowd of 150, beside a bare
// loop that splits each line and looks its trigger up; and how that grows with lines, commands, phrases and people.
// Run by `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Figures\Evening;
use SilverParrot\Figures\EveningRun;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Value\Moment;

const WORDS = [
    'good', 'evening', 'shore', 'crew', 'that', 'plank', 'looks', 'straight', 'to', 'me', 'is', 'kettle', 'on', 'what',
    'wood', 'the', 'gulls', 'are', 'loud', 'tonight', 'mind', 'splinters', 'ha', 'back', 'from', 'slipway', 'how',
    'long', 'until', 'she', 'floats', 'nice', 'joint', 'rain', 'roof',
];

$cpu = static function (): float {
    $used = getrusage();

    return $used['ru_utime.tv_sec'] + $used['ru_stime.tv_sec']
        + ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']) / 1e6;
};
$start = Moment::fromIso('2026-11-25T19:00:00Z') ?? new Moment(0);
/** @var Closure(int, int, list<string>, list<string>): list<ChatLine> $chat a tenth sets something off */
$chat = static function (int $count, int $people, array $answered, array $refused) use ($start): array {
    mt_srand(16);
    $crowd = [];
    for ($i = 0; $i < $people; $i++) {
        $crowd[] = Person::known("cast-p$i", "p$i", "P$i", Levels::of());
    }
    $lines = [];
    for ($i = 0; $i < $count; $i++) {
        $kind = mt_rand(0, 99);
        $text = match (true) {
            $kind < 5 => $answered[array_rand($answered)],
            $kind < 10 => $refused[array_rand($refused)],
            default => implode(' ', array_map(
                static fn (): string => WORDS[array_rand(WORDS)],
                range(1, mt_rand(2, 9)),
            )),
        };
        $lines[] = new ChatLine("l$i", $crowd[mt_rand(0, $people - 1)], $text, $start->plusMillis($i * 1_200));
    }

    return $lines;
};
$hear = static function (Pack $pack, iterable $lines) use ($cpu, $start): array {
    $run = new EveningRun($pack, EveningRun::live(new InitialState, $start), ChatProfile::stream());
    $since = $cpu();
    $evening = $run->hear($lines, '1', $start);

    return [$cpu() - $since, $evening];
};
$median = static function (callable $of): float {
    $all = array_map(static fn (): float => $of(), range(1, 5));
    sort($all);

    return $all[2];
};
$missed = 0;
$tell = static function (string $what, float $is, string $bound, bool $holds) use (&$missed): void {
    $missed += $holds ? 0 : 1;
    printf("%-60s %10.2f, %s%s\n", $what, $is, $bound, $holds ? '' : ', MISSED');
};

$demo = PackFormat::read((string) file_get_contents(dirname(__DIR__, 2).'/docs/examples/lantern-cove.pack.json'))[0];
$lines = $chat(
    20_000,
    150,
    ['!dry', '!luck', '!now', '!ahoy @p3', '!knot', '!omen', '!chart slipway', '!crew'],
    ['!plank', '!chalk', '!varnish', '!job x', '!launch'],
);
[, $evening] = $hear($demo, $lines);
assert($evening instanceof Evening);
$share = $evening->said / count($lines);
printf("of all lines, %.1f %% are answered and %.1f %% refused\n", 100 * $share, array_sum($evening->closed) / 200);
$takes = $median(static fn (): float => $hear($demo, $lines)[0]);
$tell('lines a second, in thousands', count($lines) / $takes / 1_000, 'at least 30', count($lines) / $takes >= 30_000);
$bare = $median(static function () use ($demo, $lines, $cpu): float {
    $since = $cpu();
    $found = 0;
    for ($round = 0; $round < 10; $round++) {
        foreach ($lines as $line) {
            $parts = preg_split('/\s+/u', $line->text, 2) ?: [''];
            $found += isset($demo->byTrigger[mb_strtolower($parts[0])]) ? 1 : 0;
        }
    }

    return ($cpu() - $since) / 10;
});
$tell('beside a bare loop', $takes / $bare, 'at most 20', $takes / $bare <= 20);
$ten = $chat(40_000, 150, ['!dry', '!luck'], ['!plank']);
$less = $median(static fn (): float => $hear($demo, array_slice($ten, 0, 4_000))[0]);
$more = $median(static fn (): float => $hear($demo, $ten)[0]);
$tell('ten times the lines', $more / $less, 'at most 11', $more / $less <= 11);
$pack = static function (int $commands, int $phrases): Pack {
    $all = [];
    for ($number = 0; $number < $commands; $number++) {
        $command = Say::on("!command$number", 'Aye, [caller].')->gated(new Cooldown(0, 0));
        $some = [];
        for ($one = $number; $one < $phrases; $one += $commands) {
            $some[] = new Phrase("never said $one ".WORDS[$one % count(WORDS)]);
        }
        $all[] = $some === [] ? $command : $command->saidAs(...$some);
    }

    return Pack::blank()->withCommands($all)->withFlood(new Flood(0, 0));
};
$said = $chat(8_000, 150, ['!command1', '!command7'], ['!command3', '!command11']);
[$none, $many] = [$pack(20, 0), $pack(2_000, 500)];
$plain = $median(static fn (): float => $hear($none, $said)[0]);
$large = $median(static fn (): float => $hear($many, $said)[0]);
$tell('2,000 commands and 500 phrases to 20 commands', $large / $plain, 'at most 1.5', $large / $plain <= 1.5);
$thirty = $median(static fn (): float => $hear($demo, $chat(8_000, 30, ['!dry', '!luck'], ['!plank']))[0]);
$crowd = $median(static fn (): float => $hear($demo, $chat(8_000, 3_000, ['!dry', '!luck'], ['!plank']))[0]);
$tell('3,000 people to 30', $crowd / $thirty, 'at most 1.3', $crowd / $thirty <= 1.3);
unset($lines, $ten, $said, $many);
memory_reset_peak_usage();
$hear($demo, (static function () use ($chat): Generator {
    for ($part = 0; $part < 10; $part++) {
        foreach ($chat(10_000, 150, ['!dry', '!luck', '!knot'], ['!plank']) as $number => $line) {
            yield new ChatLine("l$part-$number", $line->by, $line->text, $line->at->plusMillis($part * 12_000_000));
        }
    }
})());
$peak = memory_get_peak_usage(true) / 1_048_576;
$tell('MB for 100,000 lines', $peak, 'at most 256', $peak <= 256);
exit($missed === 0 ? 0 : 1);
