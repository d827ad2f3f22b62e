<?php

declare(strict_types=1);

// What a core with additions makes of them, as JSON. Its folder is the first argument.

require dirname(__DIR__, 3).'/vendor/autoload.php';
spl_autoload_register(static function (string $class) use ($argv): void {
    $file = $argv[1].'/'.str_replace('\\', '/', substr($class, strlen('SilverParrot\\'))).'.php';
    if (str_starts_with($class, 'SilverParrot\\') && is_file($file)) {
        require $file;
    }
}, prepend: true);

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Checks\Checks;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Response\Reference\Reference;
use SilverParrot\Response\Reference\ReferenceEntry;
use SilverParrot\Source\Finding;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;

$steps = [['say' => '[whim | twice]!!'], ['nap' => 3], ['say' => 'Awake.']];
$document = [
    'commands' => [
        [
            'trigger' => '!whim',
            'quietly' => true,
            'responses' => [['steps' => $steps]],
            'refusals' => ['quietly' => 'Hush.'],
        ],
    ],
];
[$pack, $findings] = PackFormat::read(
    json_encode($document + json_decode(PackFormat::write(Pack::blank()), true), JSON_THROW_ON_ERROR),
);
$rehearsal = new Rehearsal($pack, new InitialState, '1', ChatProfile::stream());
$says = static fn (string $line): array => $rehearsal
    ->line($line, Person::known('1', 'tamsin', 'Tamsin', Levels::of()), $line, new Moment(0))
    ->texts();
$written = json_decode(PackFormat::write($pack), true)['commands'][0];
echo json_encode(
    [
        'reading' => array_map(static fn (Finding $one): string => $one->sentence(), $findings),
        'written' => [$written['quietly'], $written['responses'][0]['steps'] === $steps, $written['refusals']],
        'reference' => array_values(
            array_intersect(array_map(static fn (ReferenceEntry $one): string => $one->insert, Reference::of($pack)), [
                'whim',
                'twice',
            ]),
        ),
        'findings' => array_values(
            array_unique(array_map(static fn (Finding $one): string => $one->kind->code(), Checks::of($pack))),
        ),
        'summary' => array_map((new MessageKeys)->of(...), CommandSummary::of($pack->commands[0])->parts),
        'schema' => GateSettings::schema()['quietly'],
        'refusal' => GateSettings::refusals()['quietly']->when,
        'says' => [$says('!whim'), $says('!whim !!')],
    ],
    JSON_THROW_ON_ERROR,
);
