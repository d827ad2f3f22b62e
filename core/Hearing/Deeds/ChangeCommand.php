<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Pack\Command;

/** A command says another text; all else of it stays. */
final class ChangeCommand extends CommandDeed
{
    public static function key(): string
    {
        return 'change command';
    }

    protected function more(): array
    {
        return ['text' => '[words 2]'];
    }

    protected function change(Command $command, array $with, DeedScene $scene): Edited|ActionDone
    {
        $only = count($command->responses) === 1 && $command->responses[0]->isPlain() ? $command->responses[0] : null;
        if ($only === null) {
            return ActionDone::refused('says-more', ['name' => $command->trigger]);
        }
        $changed = $command->answering([$only->saying($with['text'])]);

        return $only->text() === $with['text']
            ? ActionDone::refused('is-already', ['name' => $command->trigger])
            : TypedText::refusal($with['text'], $changed, $scene)
                ?? Edited::command($scene->pack, $command, $changed, [
                    'name' => $command->trigger,
                    'before' => $only->text(),
                    'after' => $with['text'],
                ]);
    }
}
