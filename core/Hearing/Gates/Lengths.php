<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Source\Message;

/** How long something is to wait, as one says it. */
final class Lengths
{
    /** "40 s", "25 minutes", "3 hours 20 minutes", "2 days 4 hours": never less than it is. */
    public static function of(int $seconds): Message
    {
        [$minutes, $hours] = [intdiv($seconds + 59, 60), intdiv($seconds + 3_599, 3_600)];

        return match (true) {
            $seconds < 600 => new Message('length.seconds', ['count' => $seconds]),
            $minutes < 60 => new Message('length.minutes', ['count' => $minutes]),
            $hours < 48 => self::both('hours', intdiv($minutes, 60), 'minutes', $minutes % 60),
            default => self::both('days', intdiv($hours, 24), 'hours', $hours % 24),
        };
    }

    private static function both(string $unit, int $many, string $smaller, int $few): Message
    {
        $whole = new Message("length.$unit", ['count' => $many]);

        return $few === 0 ? $whole : new Message('length.both', [
            'first' => $whole,
            'second' => new Message("length.$smaller", ['count' => $few]),
        ]);
    }
}
