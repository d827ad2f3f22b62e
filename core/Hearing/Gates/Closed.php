<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Pack\LevelRule;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** A closed gate, with the reason that can be shown and what would open it. */
final readonly class Closed
{
    /**
     * @param  string  $refusal  the command's response for it; empty: silence
     * @param  array<string, null|bool|int|string|Value>  $outcome  what that response may name
     */
    private function __construct(public string $gate, public string $sentence, public string $opens, public string $refusal, public array $outcome)
    {
    }

    public static function switchedOff(): self
    {
        return new self('switched on', 'the command is switched off', 'switch it on', '', []);
    }

    public static function level(LevelRule $levels, string $refusal): self
    {
        $needs = $levels->inWords();

        return new self('level', "it is for $needs", 'speak as one of them', $refusal, ['reason' => "it is for $needs", 'needs' => $needs]);
    }

    public static function flood(string $gate, Moment $now, int $opensAt): self
    {
        $seconds = max(1, (int) ceil(($opensAt - $now->millis) / 1000));
        $who = $gate === 'person flood' ? 'this person has had' : 'the channel has had';

        return new self($gate, "$who as many answers as there may be in half a minute; the next in $seconds s", "turn the clock on by $seconds s", '', []);
    }

    public static function cooldown(string $gate, Moment $now, Moment $opens, string $refusal): self
    {
        $seconds = (int) ceil(($opens->millis - $now->millis) / 1000);
        $whose = $gate === 'person cooldown' ? 'this person’s cooldown' : 'the channel cooldown';

        return new self($gate, "$whose runs another $seconds s", "turn the clock on by $seconds s", $refusal, [
            'reason' => "$whose runs another $seconds s",
            'left' => TimeSpan::between($now, $now->plusMillis($seconds * 1000)),
        ]);
    }
}
