<?php

declare(strict_types=1);

namespace Tests\Pathological;

/** One of each kind of value, in every form that takes one or two. */
final class Pairs
{
    private const ATOMS = [
        'now',
        'today',
        'caller',
        'target',
        'words',
        'word 1',
        'counter.planks',
        'caller.pebbles',
        'caller.boat',
        'caller.born',
        'caller.swims',
        'channel.category',
        'channel.live',
        'channel.uptime',
        'channel.tags',
        'list.knots',
        'fact.workshop',
        'occasion.leak',
        '(since occasion.leak)',
        '5',
        '2.5',
        '0',
        '"a"',
        '"5"',
        '"2 days"',
        '"2026-01-01"',
        'yes',
        'nothing',
        'commands',
        '(top 2 by pebbles)',
        'quote',
        'lookup.tide.high',
        '(roll 6)',
        'trigger',
        'message',
        'caller.level',
    ];

    private const FILTERS = [
        'upper',
        'title',
        'cut 5',
        'cut 0',
        'replace "a" "b"',
        'number',
        'round',
        'round 2',
        'round 9',
        'ordinal',
        'plural "# plank" "# planks"',
        'date',
        'date "d MMM"',
        'ago',
        'short',
        'default 5',
        'url',
        'mention',
        'in days',
        'join ", "',
        'first',
        'last',
        'count',
        'reverse',
        'sort',
        'scores',
        'link',
    ];

    /** @return iterable<string> */
    public static function sources(): iterable
    {
        foreach (self::ATOMS as $one) {
            yield from [
                "[$one]",
                "[since $one]",
                "[until $one]",
                "[roll $one]",
                "[roll 1 to $one]",
                "[-$one]",
                "[not $one]",
                "[top $one by pebbles]",
                "[list.knots $one]",
                "[add $one to counter.planks]",
                "[take $one from caller.pebbles]",
                "[set counter.planks to $one]",
                "[set caller.boat to $one]",
                "[set caller.born to $one]",
                "[set caller.swims to $one]",
                "[set occasion.leak to $one]",
            ];
            foreach (self::FILTERS as $filter) {
                yield "[$one | $filter]";
            }
            foreach (self::ATOMS as $other) {
                yield from [
                    "[$one + $other]",
                    "[$one - $other]",
                    "[$one * $other]",
                    "[$one / $other]",
                    "[$one % $other]",
                    "[$one is $other]",
                    "[$one < $other]",
                    "[$one contains $other]",
                ];
            }
        }
    }
}
