<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A counter whose ceiling lies below its floor, or whose start lies outside them. */
final readonly class CounterOutOfBounds extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'counter-out-of-bounds';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '{name} {why}.';
    }

    public function mend(): string
    {
        return 'Change its floor, its ceiling or its start.';
    }

    public function reason(): string
    {
        return 'It could never be counted as it is meant.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach (array_values($at->pack->counters) as $index => $counter) {
            $why = match (true) {
                $counter->ceiling !== null && $counter->ceiling < ($counter->floor ?? $counter->ceiling) => 'has a '
                    ."ceiling of {$counter->ceiling}, below its floor of {$counter->floor}",
                $counter->within($counter->start) !== $counter->start => "starts at {$counter->start}, outside its "
                    .'floor and ceiling',
                default => null,
            };
            if ($why !== null) {
                $findings[] = new Finding($this, null, "/counters/$index", [
                    'name' => "counter.{$counter->name}",
                    'why' => $why,
                ]);
            }
        }

        return $findings;
    }
}
