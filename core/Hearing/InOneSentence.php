<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Pack\Command;

/** What a command is, in one sentence made from its settings: for whom, how often, what it changes. */
final class InOneSentence
{
    public static function of(Command $command, Prepared $prepared = new Prepared): string
    {
        $parts = [ucfirst($command->levels->isForEveryone() ? 'anyone' : $command->levels->inWords())];
        if ($command->channelCooldown > 0) {
            $parts[] = 'every '.self::length($command->channelCooldown);
        }
        if ($command->personCooldown > 0) {
            $parts[] = 'each person once in '.self::length($command->personCooldown);
        }
        if ($command->channelCooldown === 0 && $command->personCooldown === 0) {
            $parts[] = 'as often as they like';
        }
        $changes = [];
        foreach ($command->responses as $response) {
            $changes = [...$changes, ...$prepared->response($response->text)->changedPlaces()];
        }
        if ($changes !== []) {
            $parts[] = 'changes '.implode(' and ', array_unique($changes));
        }
        if ($command->place !== Place::Chat) {
            $parts[] = $command->place === Place::Reply ? 'as a reply' : 'as a whisper';
        }
        if ($command->voice === Voice::Streamer) {
            $parts[] = 'in the streamer’s voice';
        }

        return ($command->enabled ? '' : 'Switched off. ').implode(', ', $parts).($command->listed ? '.' : ', not on the public list.');
    }

    private static function length(int $seconds): string
    {
        return match (true) {
            $seconds % 3600 === 0 => $seconds === 3600 ? 'an hour' : intdiv($seconds, 3600).' hours',
            $seconds % 60 === 0 => $seconds === 60 ? 'a minute' : intdiv($seconds, 60).' minutes',
            default => "$seconds s",
        };
    }
}
