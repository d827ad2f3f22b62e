<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;

/** A trigger or alias sets off one command only: the second to have it is never heard. Silent on triggers of one's own. */
final class TriggersTaken implements Check
{
    public function look(Pack $pack): array
    {
        $findings = [];
        $owners = [];
        foreach ($pack->commands as $index => $command) {
            foreach ($command->triggers() as $place => $trigger) {
                $folded = Fold::caseless($trigger);
                $at = $place === 0 ? "/commands/$index/trigger" : "/commands/$index/aliases/".($place - 1);
                if (isset($owners[$folded])) {
                    $findings[] = new Finding(Concern::TriggerTaken, null, $at, ['trigger' => $trigger, 'other' => $owners[$folded]]);
                }
                $owners[$folded] ??= $command->trigger;
            }
        }

        return $findings;
    }
}
