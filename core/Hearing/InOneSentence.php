<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Hearing\Gates\GateSetting;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Command;
use SilverParrot\Response\ResponseCache;

/** What a command is, in one sentence made from its settings: for whom, how often, what it changes. */
final class InOneSentence
{
    public static function of(Command $command, ResponseCache $prepared = new ResponseCache): string
    {
        $words = array_filter(
            array_map(
                static fn (GateSetting $setting): string => $setting->inWords(),
                GateSettings::all($command->gates),
            ),
            static fn (string $words): bool => $words !== '',
        );
        $before = array_filter($words, static fn (string $words): bool => str_ends_with($words, '.'));
        /** @var list<string> $parts */
        $parts = array_values(array_diff($words, $before));
        $changes = [];
        foreach ($command->responses as $response) {
            foreach ($response->sources() as $text) {
                array_push($changes, ...$prepared->response($text)->changedPlaces());
            }
        }
        if ($changes !== []) {
            $parts[] = 'changes '.implode(' and ', array_unique($changes));
        }
        array_push($parts, ...$command->delivery->inWords());

        return implode(' ', [...$before, ucfirst(implode(', ', $parts))])
            .($command->about->listed ? '.' : ', not on the public list.');
    }
}
