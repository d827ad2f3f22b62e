<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Chance\Weighted;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Saying;
use SilverParrot\Chat\Voice;
use SilverParrot\Hearing\Prepared;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Outbox\Fitter;
use SilverParrot\Outbox\Room;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Needed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Evaluation\Scene;
use SilverParrot\Response\Said;
use SilverParrot\World;

/** The step that says something: draws one of the responses, fills it in, fits it to the chat. */
final readonly class Say
{
    public function __construct(private Prepared $prepared)
    {
    }

    /** @return array{list<Saying>, Said}|Failed|null null while something is not fetched yet */
    public function run(Command $command, ChatLine $line, Scene $scene, World $world, Needed $needed, ?Trace $trace): array|Failed|null
    {
        $index = $this->drawn($command, $world);
        if ($index === null) {
            return [[], new Said];
        }
        $trace?->drew($index, count($command->responses));

        return $this->text($command->responses[$index]->text, "{$command->trigger}/$index", $command, $line, $scene, $world, $needed, $trace);
    }

    /** @return array{list<Saying>, Said}|Failed|null */
    public function text(string $text, string $place, Command $command, ChatLine $line, Scene $scene, World $world, Needed $needed, ?Trace $trace): array|Failed|null
    {
        $trace?->saysFrom($text);
        $said = $this->prepared->response($text)->say(new Run($world, $scene, $place, $needed, $trace));
        if (! $said instanceof Said) {
            return $said;
        }
        $login = $command->voice === Voice::Parrot ? $world->pack->parrot : $world->pack->channel->login;
        $draft = Fitter::fit($said, new Room($world->profile, $world->pack->channel->login, $login));
        foreach ($draft->notes as $note) {
            $trace?->fitted($note);
        }
        $fit = $draft->text();
        if ($fit === '') {
            $trace?->fitted('nothing is left to say, so the parrot stays silent');

            return [[], $said];
        }

        return [[new Saying($fit, $command->voice, $command->place, $line->key, $line->nick)], $said];
    }

    private function drawn(Command $command, World $world): ?int
    {
        $weights = array_map(static fn (WeightedText $response): int => $response->weight, $command->responses);
        if (count($weights) < 2) {
            return $weights === [] ? null : 0;
        }

        return Weighted::place($weights, $world->chance->at("{$command->trigger}#response"));
    }
}
