<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Pack\Command;
use SilverParrot\Source\Suggestions;

/** A command is for those with at least some level: never one that whoever sets it does not hold. */
final class SetLevel extends CommandDeed
{
    public static function key(): string
    {
        return 'set level';
    }

    protected function more(): array
    {
        return ['level' => '[word 2]'];
    }

    protected function change(Command $command, array $with, DeedScene $scene): Edited|ActionDone
    {
        $level = self::level($with['level']);
        if ($level === null) {
            return ActionDone::refused('no-level', [
                'text' => DeedScene::short($with['level']),
                'known' => implode(', ', Level::words()),
            ]);
        }
        $was = $command->gates->get(ForLevels::class);
        $changed = $command->gated($was->from($level));

        return match (true) {
            $scene->by === null || ! $changed->isFor($scene->by) => ActionDone::refused('beyond-them', [
                'name' => $command->trigger,
            ]),
            $changed == $command => ActionDone::refused('is-already', ['name' => $command->trigger]),
            default => Edited::command($scene->pack, $command, $changed, [
                'name' => $command->trigger,
                'before' => $was->rule->inWords(),
                'after' => $changed->gates->get(ForLevels::class)->rule->inWords(),
            ]),
        };
    }

    /** By its word, its plural, or nearly so. */
    private static function level(string $typed): ?Level
    {
        $nearest = trim($typed) === '' ? null : Suggestions::to(rtrim(trim($typed), 's'), Level::words(), 1);

        return Level::named($typed) ?? ($nearest === null ? null : Level::named($nearest));
    }
}
