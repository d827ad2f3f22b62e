<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Pack\Timer;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;
use SilverParrot\Source\Suggestions;

/** A timer is switched on or off. */
final class SwitchTimer extends PackDeed
{
    public static function key(): string
    {
        return 'switch timer';
    }

    public function inputs(): array
    {
        return ['name' => '[word 1]', 'on' => '[word 2]'];
    }

    public function edit(array $with, DeedScene $scene): Edited|ActionDone
    {
        $timer = self::timer($with['name'], $scene);
        if (! $timer instanceof Timer) {
            return $timer;
        }
        $on = OnOrOff::typed($with['on'], $timer->isOn);

        return match (true) {
            $on === null => ActionDone::refused('no-switch', ['text' => DeedScene::short($with['on'])]),
            $on === $timer->isOn => ActionDone::refused('is-already', ['name' => $timer->name]),
            default => Edited::timer($scene->pack, $timer, $timer->switched($on), [
                'name' => $timer->name,
                'before' => new Message('deeds.'.($timer->isOn ? 'on' : 'off')),
                'after' => new Message('deeds.'.($on ? 'on' : 'off')),
            ]),
        };
    }

    private static function timer(string $typed, DeedScene $scene): Timer|ActionDone
    {
        foreach ($scene->pack->timers as $timer) {
            if (Fold::caseless($timer->name) === Fold::caseless(trim($typed))) {
                return $timer;
            }
        }
        $names = array_map(static fn (Timer $one): string => $one->name, $scene->pack->timers);

        return ActionDone::refused('no-timer', [
            'name' => DeedScene::short($typed),
            'known' => $names === [] ? '–' : implode(', ', array_slice($names, 0, 10)),
            'nearest' => Suggestions::to($typed, $names) ?? '',
        ]);
    }
}
