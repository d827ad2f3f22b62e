<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\CommandResponse;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/** A command that is switched on says something. Silent on one that is switched off: it may be half written. */
final readonly class NothingToSay extends AbstractCheck
{
    public function code(): string
    {
        return 'nothing-to-say';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{trigger} has nothing to say.';
    }

    public function mend(): string
    {
        return 'Write a response, or switch the command off.';
    }

    public function reason(): string
    {
        return 'Whoever types it waits for an answer.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            $texts = array_filter(
                $command->responses,
                static fn (CommandResponse $response): bool => ! $response->isPlain()
                    || ! Fold::isBlank($response->text()),
            );
            if ($command->isOn() && $texts === []) {
                $findings[] = new Finding($this, null, "/commands/$index/responses", ['trigger' => $command->trigger]);
            }
        }

        return $findings;
    }
}
