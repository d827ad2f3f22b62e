<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;

/** A command that is switched on says something. Silent on one that is switched off: it may be half written. */
final class SomethingToSay implements Check
{
    public function look(Pack $pack): array
    {
        $findings = [];
        foreach ($pack->commands as $index => $command) {
            $texts = array_filter($command->responses, static fn ($response): bool => ! Fold::isBlank($response->text));
            if ($command->enabled && $texts === []) {
                $findings[] = new Finding(Concern::NothingToSay, null, "/commands/$index/responses", ['trigger' => $command->trigger]);
            }
        }

        return $findings;
    }
}
