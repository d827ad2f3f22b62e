<?php

declare(strict_types=1);

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\WholeView;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\Needed;
use SilverParrot\Response\Evaluation\Scene;
use SilverParrot\Response\Response;
use SilverParrot\Response\Said;
use SilverParrot\Value\Moment;
use SilverParrot\World;

// A response of about 120 characters with four names, one `or` and one filter, without a trace; against a closure by hand.
$source = 'Ahoy [target or "shore crew"]! [caller] saved you a seat by the stove while we are busy with [channel.category | lower], [trigger].';
$response = Response::of($source);
$world = new World(Pack::blank(), new WholeView, new CannedReadings(['channel.category' => 'Planking']), new Moment(0), new KeyedChance('1', 'e'), ChatProfile::stream());
$tamsin = SilverParrot\Chat\Person::known('1', 'tamsin', 'Tamsin', SilverParrot\Chat\Levels::of());
$scene = Scene::of($tamsin, '', '!ahoy', '!ahoy');

return [
    'name' => 'saying a response, to a closure written by hand',
    'repeat' => 5_000,
    'subject' => static function () use ($response, $world, $scene): string {
        $said = $response->say($world, $scene, '!ahoy/0', new Needed);
        assert($said instanceof Said);

        return $said->spoken->text();
    },
    'reference' => static function () use ($tamsin): string {
        $values = ['target' => null, 'caller' => $tamsin->name, 'category' => 'Planking', 'trigger' => '!ahoy'];

        return 'Ahoy '.($values['target'] ?? 'shore crew').'! '.$values['caller'].' saved you a seat by the stove while we are busy with '.mb_strtolower($values['category']).', '.$values['trigger'].'.';
    },
];
