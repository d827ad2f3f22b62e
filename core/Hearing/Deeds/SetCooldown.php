<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Pack\Command;
use SilverParrot\Value\Number;

/** How many seconds must lie between two uses of a command, by whomever. */
final class SetCooldown extends CommandDeed
{
    public static function key(): string
    {
        return 'set cooldown';
    }

    protected function more(): array
    {
        return ['seconds' => '[word 2]'];
    }

    protected function change(Command $command, array $with, DeedScene $scene): Edited|ActionDone
    {
        $seconds = self::seconds($with['seconds']);
        if ($seconds instanceof ActionDone) {
            return $seconds;
        }
        $was = $command->gates->get(Cooldown::class);

        return $was->channel === $seconds
            ? ActionDone::refused('is-already', ['name' => $command->trigger])
            : Edited::command(
                $scene->pack,
                $command,
                $command->gated($was->forAll($seconds)),
                ['name' => $command->trigger, 'before' => $was->channel, 'after' => $seconds],
            );
    }

    public static function seconds(string $typed): int|ActionDone
    {
        $seconds = Number::typed(rtrim(rtrim(trim($typed), 's')));

        return is_int($seconds) && $seconds >= 0 && $seconds <= Cooldown::LONGEST
            ? $seconds
            : ActionDone::refused('no-seconds', ['text' => DeedScene::short($typed), 'most' => Cooldown::LONGEST]);
    }
}
