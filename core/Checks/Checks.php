<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;

/** All checks of a pack. A new one is one class and one line here. */
final class Checks
{
    /** @return list<Check> */
    private static function all(): array
    {
        return [
            new ResponsesReadable,
            new TriggersTaken,
            new SomethingToSay,
        ];
    }

    /** @return list<Finding> */
    public static function of(Pack $pack): array
    {
        $findings = [];
        foreach (self::all() as $check) {
            array_push($findings, ...$check->look($pack));
        }

        return $findings;
    }
}
