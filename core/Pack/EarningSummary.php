<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Level;
use SilverParrot\Source\Message;

/** Who earns what for what, in one sentence: “Everyone earns 5 pebbles for being here, every 10 minutes, …”. */
final class EarningSummary
{
    public static function of(Earning $rule, Field $unit): Message
    {
        $isOne = $rule->levels->isForEveryone() || $rule->levels->atLeast === Level::Streamer
            || $rule->levels->anyOf === [Level::Streamer];

        return new Message($isOne ? 'earnings.one' : 'earnings.many', [
            'who' => $rule->levels->inWords(),
            'amount' => number_format($rule->amount),
            'unit' => $unit->called($rule->amount),
            'for' => self::for($rule),
            'while' => new Message($rule->whileLive ? 'earnings.live' : 'earnings.always'),
        ]);
    }

    private static function for(Earning $rule): Message
    {
        return match (true) {
            $rule->by === EarnedBy::BeingHere => new Message('earnings.here', ['count' => $rule->minutes]),
            $rule->by === EarnedBy::Happening => new Message('earnings.happening', ['kind' => $rule->happening]),
            $rule->minutes > 0 => new Message('earnings.line', ['count' => $rule->minutes]),
            default => new Message('earnings.each-line'),
        };
    }
}
