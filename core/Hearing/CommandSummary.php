<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Command;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Message;

/**
 * Who may use a command, how often, what it changes and where it is said, so that it can be told in one sentence:
 * “Moderators and up, every 5 s, changes counter.planks.”
 */
final readonly class CommandSummary
{
    /** @param  list<Message>  $parts  the most important first */
    private function __construct(public bool $isOn, public array $parts, public bool $isListed)
    {
    }

    public static function of(Command $command, ResponseCache $prepared = new ResponseCache): self
    {
        $parts = [];
        foreach (GateSettings::all($command->gates) as $setting) {
            array_push($parts, ...$setting->summary());
        }
        $changed = [];
        foreach ($command->responses as $response) {
            foreach ($response->sources() as $text) {
                array_push($changed, ...$prepared->response($text)->changedPlaces());
            }
        }
        if ($changed !== []) {
            $parts[] = new Message('summary.changes', ['places' => self::joined(array_values(array_unique($changed)))]);
        }

        return new self($command->isOn(), [...$parts, ...$command->delivery->summary()], $command->about->listed);
    }

    /** @param  non-empty-list<string>  $places */
    private static function joined(array $places): string|Message
    {
        $joined = array_shift($places);
        foreach ($places as $place) {
            $joined = new Message('summary.and', ['first' => $joined, 'second' => $place]);
        }

        return $joined;
    }
}
