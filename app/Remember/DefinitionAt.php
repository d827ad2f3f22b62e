<?php

declare(strict_types=1);

namespace App\Remember;

use SilverParrot\Pack\Pack;

/** The definition that a finding is about, from where in the pack it was found. */
final class DefinitionAt
{
    /**
     * @param  string  $at  "/timers/2/responses/0/text"
     * @return string|null "timer links", as UsesOfNames tells of what names something; null where it is of a command
     */
    public static function of(Pack $names, string $at): ?string
    {
        [, $kind, $place] = explode('/', $at) + [1 => '', 2 => ''];
        if ($kind === 'refusals') {
            return 'replies of closed gates';
        }
        $one = match ($kind) {
            'facts' => ['fact.', array_values($names->facts)[(int) $place]->name ?? null],
            'lists' => ['list.', array_values($names->lists)[(int) $place]->name ?? null],
            'counters' => ['counter.', array_values($names->counters)[(int) $place]->name ?? null],
            'fields' => ['caller.', array_values($names->fields)[(int) $place]->name ?? null],
            'lookups' => ['lookup.', array_values($names->lookups)[(int) $place]->name ?? null],
            'ladders' => ['ranks by ', array_values($names->ladders)[(int) $place]->field ?? null],
            'timers' => ['timer ', $names->timers[(int) $place]->name ?? null],
            default => ['', null],
        };

        return $one[1] === null ? null : $one[0].$one[1];
    }
}
