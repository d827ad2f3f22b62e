<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Source\Message;

/** What a counter counts, in a few words: “one for each category, anew with each day, from 0”. */
final class CounterSummary
{
    /** @return non-empty-list<Message> the most important first */
    public static function of(Counter $counter): array
    {
        $told = [new Message("counters.scope-{$counter->scope->value}")];
        if ($counter->reset !== Reset::Never) {
            $told[] = new Message("counters.reset-{$counter->reset->value}");
        }
        $bounds = match (true) {
            $counter->floor !== null && $counter->ceiling !== null => 'counters.from-to',
            $counter->floor !== null => 'counters.from',
            $counter->ceiling !== null => 'counters.up-to',
            default => null,
        };
        if ($bounds !== null) {
            $told[] = new Message($bounds, ['floor' => $counter->floor ?? 0, 'ceiling' => $counter->ceiling ?? 0]);
        }
        if ($counter->guard->stands()) {
            $told[] = new Message(
                $counter->guard->onlyByAnother ? 'counters.guard-of-another' : 'counters.guard',
                ['seconds' => $counter->guard->seconds],
            );
        }

        return [...$told, ...ChangeRuleSummary::of($counter->changes)];
    }
}
