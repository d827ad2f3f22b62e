<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/** A ladder of a field that is none, or that holds no numbers, and ranks that are called the same. */
final readonly class LadderMakesNoSense extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'ladder-makes-no-sense';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return 'The ladder of {name} {why}.';
    }

    public function mend(): string
    {
        return 'Name a field of numbers, and give each rank a name of its own.';
    }

    public function reason(): string
    {
        return 'Nobody would ever hold a rank, or two could not be told apart.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach (array_values($at->pack->ladders) as $index => $ladder) {
            $field = $at->pack->field(Fold::caseless($ladder->field));
            $names = array_map(Fold::caseless(...), $ladder->ranks);
            $why = match (true) {
                $field === null => 'goes by a field that does not exist',
                ! $field->type->isNumber() => 'goes by a field that holds no numbers',
                count(array_unique($names)) < count($names) => 'has two ranks of the same name',
                default => null,
            };
            if ($why !== null) {
                $findings[] = new Finding($this, null, "/ladders/$index", ['name' => $ladder->field, 'why' => $why]);
            }
        }

        return $findings;
    }
}
