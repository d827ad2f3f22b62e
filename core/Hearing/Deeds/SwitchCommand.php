<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Pack\Command;
use SilverParrot\Source\Message;

/** A command is switched on or off. */
final class SwitchCommand extends CommandDeed
{
    public static function key(): string
    {
        return 'switch command';
    }

    protected function more(): array
    {
        return ['on' => '[word 2]'];
    }

    protected function change(Command $command, array $with, DeedScene $scene): Edited|ActionDone
    {
        $was = $command->gates->get(Enabled::class)->isOn();
        $on = OnOrOff::typed($with['on'], $was);

        return match (true) {
            $on === null => ActionDone::refused('no-switch', ['text' => DeedScene::short($with['on'])]),
            $on === $was => ActionDone::refused('is-already', ['name' => $command->trigger]),
            default => Edited::command($scene->pack, $command, $command->gated(new Enabled($on)), [
                'name' => $command->trigger,
                'before' => new Message('deeds.'.($was ? 'on' : 'off')),
                'after' => new Message('deeds.'.($on ? 'on' : 'off')),
            ]),
        };
    }
}
