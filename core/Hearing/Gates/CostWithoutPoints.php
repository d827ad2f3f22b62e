<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\AbstractCheck;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Pack\FieldType;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A command costs points of a kind that the pack does not have: it would cost nothing. */
final readonly class CostWithoutPoints extends AbstractCheck
{
    public function code(): string
    {
        return 'cost-without-points';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '{trigger} costs points, and there are no such points here.';
    }

    public function mend(): string
    {
        return 'Make a field that holds points, or let it cost nothing.';
    }

    public function reason(): string
    {
        return 'It would be free for everybody.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            $cost = $command->gates->get(Cost::class);
            if ($cost->gates() !== [] && $cost->unitIn($at->pack)?->type !== FieldType::Points) {
                $findings[] = new Finding($this, null, "/commands/$index/cost", ['trigger' => $command->trigger]);
            }
        }

        return $findings;
    }
}
