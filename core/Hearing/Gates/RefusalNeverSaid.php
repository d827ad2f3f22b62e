<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\AbstractCheck;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/**
 * A refusal of a gate that the command does not have: of levels where everybody may, of a cooldown where there is none.
 */
final readonly class RefusalNeverSaid extends AbstractCheck
{
    public function code(): string
    {
        return 'refusal-never-said';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return '{trigger} has a reply for “{when}”, which never happens.';
    }

    public function mend(): string
    {
        return 'Remove the reply, or set the gate that it is for.';
    }

    public function reason(): string
    {
        return 'A text that nobody hears is still kept up to date.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            foreach (GateSettings::all($command->gates) as $setting) {
                $refusal = $setting::refusal();
                if (
                    $refusal !== null
                    && $setting->neverCloses()
                    && ! Fold::isBlank($command->refusals[$refusal->key] ?? '')
                ) {
                    $findings[] = new Finding($this, null, "/commands/$index/refusals/{$refusal->key}", [
                        'trigger' => $command->trigger,
                        'when' => $refusal->when,
                    ]);
                }
            }
        }

        return $findings;
    }
}
