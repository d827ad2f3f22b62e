<?php

declare(strict_types=1);

// What looking for phrases in a line costs: among ten thousand beside among ten, with and without a wrong letter in
// each; beside a loop of stripos; and a line that sets nothing off beside normalising, folding and splitting it.
// Run by `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Phrases\PhraseIndex;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;
use SilverParrot\Value\Moment;
use SilverParrot\World;

mt_srand(14);
$word = static fn (): string => substr(str_shuffle('abcdefghiklmnoprstuw'), 0, mt_rand(4, 9));
$words = array_map(static fn (): string => $word(), range(1, 3_000));
$pick = static fn (): string => $words[mt_rand(0, 2_999)];
$phrases = [];
for ($i = 0; $i < 10_000; $i++) {
    $phrases[] = implode(' ', array_map(static fn (): string => $pick(), range(1, mt_rand(2, 4))));
}
$pack = static function (int $count, bool $isTolerant, int $commands = 0) use ($phrases): Pack {
    $all = [];
    foreach (array_chunk(array_slice($phrases, 0, $count), 25) as $number => $some) {
        $all[] = Say::on("!phrase$number", 'x')->saidAs(
            ...array_map(static fn (string $one): Phrase => new Phrase($one, $isTolerant), $some),
        );
    }
    for ($number = 0; $number < $commands; $number++) {
        $all[] = Say::on("!command$number", 'x');
    }

    return Pack::blank()->withCommands(array_values(array_filter($all, static fn (Command $one): bool => true)));
};
$line = 'we should have been there before the tide';
$median = static function (callable $work, int $times): float {
    $took = [];
    for ($round = 0; $round < 9; $round++) {
        $since = hrtime(true);
        for ($i = 0; $i < $times; $i++) {
            $work();
        }
        $took[] = (hrtime(true) - $since) / 1e3 / $times;
    }
    sort($took);

    return $took[4];
};
$missed = 0;
$tell = static function (string $what, float $ratio, float $most) use (&$missed): void {
    $missed += $ratio > $most ? 1 : 0;
    printf("%-60s %8.3f of at most %.3f%s\n", $what, $ratio, $most, $ratio > $most ? ', MISSED' : '');
};
$look = static function (int $count, bool $isTolerant) use ($pack, $median, $line): float {
    $index = PhraseIndex::of($pack($count, $isTolerant));

    return $median(static fn () => $index->in($line), 2_000);
};
$few = $look(10, false);
$tell('a line among 10,000 phrases to one among 10', $look(10_000, false) / $few, 2.5);
$tell('the same with one wrong letter in long words', $look(10_000, true) / $look(10, true), 4.0);
$before = memory_get_usage();
$kept = PhraseIndex::of($all = $pack(10_000, true));
$tell('kB that a tolerant phrase takes', (memory_get_usage() - $before) / 10_000 / 1_024, 2.0);
unset($kept, $all);
$thousand = array_slice($phrases, 0, 1_000);
$loop = $median(static function () use ($thousand, $line): bool {
    foreach ($thousand as $one) {
        if (stripos($line, $one) !== false) {
            return true;
        }
    }

    return false;
}, 500);
$tell('a line among 1,000 phrases to a loop of stripos', $look(1_000, false) / $loop, 0.125);

$whole = $pack(500, false, 2_000);
$handler = new EventHandler;
$world = new World(
    $whole,
    new CompleteView,
    new CannedReadings([]),
    new Moment(1_795_000_000_000),
    new KeyedChance('1', 'k'),
    ChatProfile::stream(),
);
$said = new ChatLine('k', Person::known('1', 'odo', 'Odo', Levels::of()), $line, new Moment(1_795_000_000_000));
$plain = $median(static function () use ($line): array {
    $normal = (string) Normalizer::normalize($line, Normalizer::FORM_KC);

    return explode(' ', mb_convert_case($normal, MB_CASE_FOLD, 'UTF-8'));
}, 5_000);
$hear = $median(static fn () => $handler->hear($said, $world), 5_000);
$tell('a line that sets nothing off to normalising it', $hear / $plain, 4.5);
exit($missed === 0 ? 0 : 1);
