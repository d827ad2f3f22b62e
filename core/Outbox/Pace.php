<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Chat\Saying;

/**
 * How much of what is queued may be said now, under the chat profile's rate. What can no longer be said before it is
 * stale makes room: the oldest that nobody asked for first, then the oldest of all.
 */
final readonly class Pace
{
    /**
     * @param  list<int>  $now  numbers that may be said at once, in their order
     * @param  list<int>  $dropped  numbers that are given up
     */
    private function __construct(public array $now, public array $dropped)
    {
    }

    /**
     * @param  array<int, Saying>  $queued  by number, oldest first
     * @param  list<int>  $ages  milliseconds since each of what was said lately; what lies ahead does not count
     * @param  int  $often  sayings within the window
     */
    public static function of(array $queued, array $ages, int $often, int $windowSeconds): self
    {
        $recent = array_filter($ages, static fn (int $age): bool => $age >= 0 && $age < $windowSeconds * 1000);
        $free = max(0, $often - count($recent));
        $dropped = [];
        // A whole window's worth may wait; more than that would come out long after it was wanted.
        for ($tooMany = count($queued) - $free - $often; $tooMany > 0; $tooMany--) {
            $unasked = array_filter($queued, static fn (Saying $saying): bool => ! $saying->isAsked());
            $number = array_key_first($unasked !== [] ? $unasked : $queued);
            unset($queued[$number]);
            $dropped[] = (int) $number;
        }

        return new self(array_slice(array_keys($queued), 0, $free), $dropped);
    }
}
