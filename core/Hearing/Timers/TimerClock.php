<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Timers;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PeopleLines;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Timer;
use SilverParrot\Value\Moment;

/**
 * When a timer speaks: a full interval after the beginning of the stream, its last saying, or when it was set as it is,
 * whichever is last, and once so many lines have come; when the time has passed but the lines are short, it waits for
 * them. Kept is {from, times, lines, as}: since when it waits, how often it spoke, how many lines there were then, and
 * how it was set.
 */
final class TimerClock
{
    /** Seconds between two sayings that nobody asked for, whichever timers they are of. */
    public const APART = 120;

    /** @var array{Pack, list<Key>}|null what was asked for besides, in the pack that was looked at last */
    private ?array $asked = null;

    public function __construct(private readonly Timer $timer)
    {
    }

    /** @return list<Key> all that it goes by */
    public function reads(Pack $pack): array
    {
        return [
            Key::timer($this->timer->id),
            Key::peopleLines(),
            Key::lastUnasked(),
            Key::stream(),
            ...$this->asked($pack),
        ];
    }

    /** Whether it has to be noted that it waits from now on: it is new, or set otherwise than before. */
    public function begins(View $memory, Moment $now): ?Change
    {
        $key = Key::timer($this->timer->id);
        $kept = $memory->value($key);

        return is_array($kept) && ($kept['as'] ?? null) === $this->timer->rhythm()
            ? null
            : new Change($key, $kept, $this->state($memory, $now, is_array($kept) ? self::times($kept) : 0), '', '');
    }

    /** What is kept once it has spoken. */
    public function spoke(View $memory, Moment $now): Change
    {
        $key = Key::timer($this->timer->id);
        $kept = $memory->value($key);

        return new Change(
            $key,
            $kept,
            $this->state($memory, $now, (is_array($kept) ? self::times($kept) : 0) + 1),
            '',
            '',
        );
    }

    /** @param  bool|null  $isLive  as the service says; null where it does not: then what was last known counts */
    public function look(View $memory, Pack $pack, Moment $now, ?bool $isLive): TimerStand
    {
        $kept = $memory->value(Key::timer($this->timer->id));
        $stream = $memory->value(Key::stream());
        $isLive ??= is_array($stream) && ($stream['on'] ?? null) === true;
        if (! $this->timer->isOn || ! is_array($kept) || ($kept['as'] ?? null) !== $this->timer->rhythm()) {
            return new TimerStand(null, 0, 0);
        }
        $from = max(
            is_int($kept['from'] ?? null) ? $kept['from'] : 0,
            $this->timer->whileLive ? RunningStream::began($stream)->millis ?? 0 : 0,
        );
        $due = $from + $this->timer->minutes * 60_000;
        $unasked = $memory->value(Key::lastUnasked());
        $due = max($due, is_int($unasked) ? $unasked + self::APART * 1000 : 0);
        // What was asked for a moment ago need not be said unasked.
        foreach ($this->asked($pack) as $key) {
            $asked = $memory->value($key);
            $due = max($due, is_int($asked) ? $asked + $this->timer->minutes * 30_000 : 0);
        }
        $lines = PeopleLines::in($memory);
        $come = $this->timer->within === 0
            ? max(0, $lines->count - (is_int($kept['lines'] ?? null) ? $kept['lines'] : 0))
            : $lines->within($this->timer->within, $now);
        $missing = max(0, $this->timer->lines - $come);

        return $this->timer->whileLive && ! $isLive
            ? new TimerStand(null, $missing, self::times($kept))
            : new TimerStand(new Moment($due), $missing, self::times($kept), $missing === 0 && $now->millis >= $due);
    }

    /** @return list<Key> when the commands that it runs, or that say the same, were used last */
    private function asked(Pack $pack): array
    {
        if ($this->asked === null || $this->asked[0] !== $pack) {
            $this->asked = [$pack, $this->askedIn($pack)];
        }

        return $this->asked[1];
    }

    /** @return list<Key> */
    private function askedIn(Pack $pack): array
    {
        $ids = $texts = [];
        foreach ($this->timer->command()->runs() as $run) {
            $command = $pack->run($run);
            $ids = $command === null ? $ids : [...$ids, $command->id];
        }
        foreach ($this->timer->responses as $response) {
            $texts[trim($response->text())] = true;
        }
        unset($texts['']);
        foreach ($texts === [] ? [] : $pack->commands as $command) {
            foreach ($command->responses as $response) {
                $ids = isset($texts[trim($response->text())]) ? [...$ids, $command->id] : $ids;
            }
        }

        return array_map(static fn (string $id): Key => Key::lastRun($id), array_values(array_unique($ids)));
    }

    /** @return array<string, int|string> */
    private function state(View $memory, Moment $now, int $times): array
    {
        return [
            'from' => $now->millis,
            'times' => $times,
            'lines' => PeopleLines::in($memory)->count,
            'as' => $this->timer->rhythm(),
        ];
    }

    /** @param  array<string, mixed>  $kept */
    private static function times(array $kept): int
    {
        return is_int($kept['times'] ?? null) ? $kept['times'] : 0;
    }
}
