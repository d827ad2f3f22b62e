<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\RegularRule;

/** {"lines": 500, "days": 20, "hours": 60}; what is left out makes nobody a regular. */
final class RegularRuleFormat
{
    public static function read(Document $rule): RegularRule
    {
        $rule->object(['lines', 'days', 'hours']);

        return new RegularRule(
            $rule->has('lines') ? $rule->at('lines')->whole(0, RegularRule::MOST_LINES) : 0,
            $rule->has('days') ? $rule->at('days')->whole(0, RegularRule::MOST_DAYS) : 0,
            $rule->has('hours') ? $rule->at('hours')->whole(0, RegularRule::MOST_HOURS) : 0,
        );
    }

    /** @return array<string, int> */
    public static function write(RegularRule $rule): array
    {
        return array_filter(['lines' => $rule->lines, 'days' => $rule->days, 'hours' => $rule->hours]);
    }
}
