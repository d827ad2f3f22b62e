<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Phrase;
use SilverParrot\Source\Message;

/** The phrases of a command are switched on or off, all of them; its trigger goes on setting it off. */
final class SwitchPhrases extends CommandDeed
{
    public static function key(): string
    {
        return 'switch phrases';
    }

    protected function more(): array
    {
        return ['on' => '[word 2]'];
    }

    protected function change(Command $command, array $with, DeedScene $scene): Edited|ActionDone
    {
        $phrases = $command->triggers->phrases;
        $areOn = array_filter($phrases, static fn (Phrase $one): bool => $one->isOn);
        $on = OnOrOff::typed($with['on'], $areOn !== []);
        $switched = array_map(static fn (Phrase $one): Phrase => $one->switched($on ?? $one->isOn), $phrases);

        return match (true) {
            $phrases === [] => ActionDone::refused('no-phrases', ['name' => $command->trigger]),
            $on === null => ActionDone::refused('no-switch', ['text' => DeedScene::short($with['on'])]),
            $switched == $phrases => ActionDone::refused('is-already', ['name' => $command->trigger]),
            default => Edited::command($scene->pack, $command, $command->saidAs(...$switched), [
                'name' => $command->trigger,
                'before' => new Message('deeds.'.($areOn === [] ? 'off' : 'on')),
                'after' => new Message('deeds.'.($on ? 'on' : 'off')),
            ]),
        };
    }
}
