<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Saying;
use SilverParrot\Outbox\Pace;
use SilverParrot\Value\Moment;

/** The outbox of a rehearsal: it paces as that of the air does, on the virtual clock. */
final class RehearsedOutbox
{
    /** Whatever waited longer than this is no longer said, on the air as here. */
    public const FRESH_SECONDS = 20;

    /** @var list<int> when the last sayings went out, in milliseconds; no more of them than the chat takes at once */
    private array $out = [];

    /** @var array<int, Saying> by number */
    private array $queued = [];

    /** @var array<int, int> when each of those was queued, in milliseconds */
    private array $since = [];

    private int $number = 0;

    /** @var list<int> how long each waited that has waited, in milliseconds */
    public array $waits = [];

    public int $dropped = 0;

    private readonly int $often;

    public function __construct(private readonly ChatProfile $profile, bool $isModerator = true)
    {
        $this->often = $isModerator ? $profile->oftenForModerators : $profile->often;
    }

    /** @param  list<Saying>  $sayings */
    public function take(array $sayings, Moment $at): void
    {
        $this->until($at);
        foreach ($sayings as $saying) {
            $this->queued[$this->number] = $saying;
            $this->since[$this->number++] = $at->millis;
        }
        if ($sayings !== []) {
            $this->say($at->millis);
        }
    }

    /** What goes out up to a moment. */
    public function until(Moment $at): void
    {
        while ($this->queued !== [] && ($next = $this->free()) <= $at->millis) {
            $this->say($next);
        }
    }

    /** When the chat takes the next one, in milliseconds. */
    private function free(): int
    {
        return count($this->out) < $this->often
            ? PHP_INT_MIN
            : $this->out[count($this->out) - $this->often] + $this->profile->windowSeconds * 1000;
    }

    private function say(int $now): void
    {
        foreach ($this->since as $number => $since) {
            if ($now - $since > self::FRESH_SECONDS * 1000) {
                $this->drop($number);
            }
        }
        $ages = array_map(static fn (int $out): int => $now - $out, $this->out);
        $pace = Pace::of($this->queued, $ages, $this->often, $this->profile->windowSeconds);
        foreach ($pace->dropped as $number) {
            $this->drop($number);
        }
        foreach ($pace->now as $number) {
            if ($now > $this->since[$number]) {
                $this->waits[] = $now - $this->since[$number];
            }
            unset($this->queued[$number], $this->since[$number]);
            $this->out[] = $now;
        }
        $this->out = array_slice($this->out, -$this->often);
    }

    private function drop(int $number): void
    {
        unset($this->queued[$number], $this->since[$number]);
        $this->dropped++;
    }
}
