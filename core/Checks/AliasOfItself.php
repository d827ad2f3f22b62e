<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/** An alias that is the trigger or another alias of the same command. Silent on every other. */
final readonly class AliasOfItself extends AbstractCheck
{
    public function code(): string
    {
        return 'alias-of-itself';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{alias} appears twice.';
    }

    public function mend(): string
    {
        return 'Remove it.';
    }

    public function reason(): string
    {
        return 'A word that triggers the command already does nothing more as an alias.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            $seen = [Fold::caseless($command->trigger) => true];
            foreach ($command->triggers->aliases as $place => $alias) {
                if (isset($seen[Fold::caseless($alias)])) {
                    $findings[] = new Finding($this, null, "/commands/$index/aliases/$place", ['alias' => $alias]);
                }
                $seen[Fold::caseless($alias)] = true;
            }
        }

        return $findings;
    }
}
