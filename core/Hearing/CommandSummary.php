<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Hearing\Gates\GateSetting;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Steps\Perform;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Phrase;
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
        $all = $command->triggers->phrases;
        $phrases = array_values(array_filter($all, static fn (Phrase $one): bool => $one->isOn));
        if ($phrases === [] && $all !== []) {
            $parts[] = new Message('summary.phrases-off');
        } elseif ($phrases !== []) {
            $parts[] = count($phrases) === 1
                ? new Message('summary.phrase', ['phrase' => $phrases[0]->text])
                : new Message('summary.phrases', ['count' => count($phrases)]);
        }
        array_push($parts, ...self::ofResponses($command));
        foreach (self::deeds($command) as $deed) {
            $parts[] = $deed;
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

    /** @return array<string, Message> each once */
    private static function deeds(Command $command): array
    {
        $deeds = [];
        foreach ($command->responses as $response) {
            foreach ($response->steps as $step) {
                if ($step instanceof Perform) {
                    $deeds[$step->deed::key()] = $step->summary();
                }
            }
        }

        return $deeds;
    }

    /** @return list<Message> in which order they are drawn, and which of them are for some only */
    private static function ofResponses(Command $command): array
    {
        $parts =
            $command->order === DrawOrder::Free || count($command->responses) < 2
                ? []
                : [new Message('summary.order', ['order' => new Message("orders.{$command->order->value}")])];
        foreach ($command->responses as $place => $response) {
            foreach ($response->gates->given() as $setting) {
                foreach ($setting instanceof GateSetting ? $setting->summary() : [] as $told) {
                    $parts[] = new Message('summary.reply', ['number' => $place + 1, 'told' => $told]);
                }
            }
            if (! $response->gates->areOn()) {
                $parts[] = new Message('summary.reply-off', ['number' => $place + 1]);
            }
        }

        return $parts;
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
