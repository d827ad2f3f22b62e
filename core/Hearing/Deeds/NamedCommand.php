<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Document\Document;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Suggestions;

/** The command that somebody means: by its trigger, with its mark or without. */
final class NamedCommand
{
    /** @return Command|ActionDone a refusal where there is none, or where they may not use it themselves */
    public static function typed(string $typed, DeedScene $scene): Command|ActionDone
    {
        $name = trim($typed);
        $command = $scene->pack->command($name) ?? $scene->pack->command(Triggers::marked($name));
        if ($name === '') {
            return ActionDone::refused('no-command-named');
        }
        if ($command === null) {
            $nearest = Suggestions::to(
                Triggers::marked($name),
                array_map(strval(...), array_keys($scene->pack->byTrigger)),
            );

            return $nearest === null
                ? ActionDone::refused('no-command', ['name' => DeedScene::short($name)])
                : ActionDone::refused('no-command-but', ['name' => DeedScene::short($name), 'nearest' => $nearest]);
        }

        return $scene->by === null || ! $command->isFor($scene->by)
            ? ActionDone::refused('not-theirs', ['name' => $command->trigger])
            : $command;
    }

    /** @return string|ActionDone a trigger that is nobody’s yet */
    public static function free(string $typed, DeedScene $scene, ?Command $own = null): string|ActionDone
    {
        $trigger = Triggers::marked(trim($typed));
        $document = Document::of(['trigger' => $trigger]);
        $document->at('trigger')->trigger();
        $isTooLong = substr_count($trigger, ' ') >= TriggerMatch::MOST_WORDS;
        $other = $scene->pack->command($trigger);

        return match (true) {
            trim($typed) === '' => ActionDone::refused('no-command-named'),
            $document->findings() !== [] || $isTooLong => ActionDone::refused('no-trigger', [
                'name' => DeedScene::short($trigger),
            ]),
            $other !== null && $other !== $own => ActionDone::refused('taken', ['name' => $trigger]),
            default => $trigger,
        };
    }
}
