<?php

declare(strict_types=1);

// What grew with a pack or with memory until it was too slow, each with what it may take at most. Run by `bin/parrot
// bench`. That it does not grow again is held by tests that count work: tests/Core/Work, tests/Feature/Work.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Value\Moment;
use SilverParrot\World;
use Tests\Bench\Budget;

$budget = new Budget;
$tamsin = Person::known('1', 'tamsin', 'Tamsin', Levels::of());
$channel = Pack::blank()->channel;

foreach ([100, 50_000] as $keys) {
    $memory = [];
    for ($i = 0; $i < $keys; $i++) {
        $memory[Key::field('pebbles', "p$i")->id()] = $i;
    }
    $rehearsal = new Rehearsal(
        new Pack($channel, commands: [Say::on('!a', 'x')]),
        new InitialState($memory),
        '1',
        ChatProfile::stream(),
        traced: false,
    );
    $budget->of(
        "rehearsal, one silent line, $keys keys of memory",
        0.015,
        500,
        static fn (int $i) => $rehearsal->line("line $i", $tamsin, 'hello there', new Moment($i * 1000)),
    );
}

$items = array_map(static fn (int $i): WeightedText => new WeightedText("knot $i"), range(1, 10_000));
$list = static fn (): Rehearsal => new Rehearsal(
    new Pack(
        $channel,
        commands: [Say::on('!a', '[list.knots]')->gated(Cooldown::none())],
        lists: ['knots' => new TextList('knots', $items, DrawOrder::Shuffled)],
        flood: new Flood(0, 0),
    ),
    new InitialState,
    '1',
    ChatProfile::stream(),
    traced: false,
);
$budget->of(
    'a shuffled list of 10,000, first draw',
    100,
    1,
    static fn (int $i) => $list()->line('first', $tamsin, '!a', new Moment(0)),
);
$drawn = $list();
$budget->of(
    'a shuffled list of 10,000, a draw after it',
    0.25,
    200,
    static fn (int $i) => $drawn->line("line $i", $tamsin, '!a', new Moment($i)),
);

$many = new Pack(
    $channel,
    commands: array_map(static fn (int $i): Command => Say::on("!command$i", 'x'), range(1, 2_000)),
);
$talker = new Talker;
foreach (['hello there', '!comand77'] as $line) {
    $budget->of(
        "a line with trace, 2,000 commands: “{$line}”",
        0.05,
        200,
        static fn (int $i) => $talker->hear(
            new ChatLine("line $i", $tamsin, $line, new Moment(0)),
            new World(
                $many,
                new CompleteView,
                new CannedReadings,
                new Moment(0),
                new KeyedChance('1', "line $i"),
                ChatProfile::stream(),
                true,
            ),
        ),
    );
}

exit($budget->exitCode());
