<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use Closure;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Checkpoint;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;

/** A whole evening, heard on a copy of memory. */
final readonly class EveningRun
{
    /** Events between two looks at whether it is to go on. */
    private const LOOK_EVERY = 500;

    /** Events between two checkpoints: so many are heard again for one moment, at most. */
    public const CHECKPOINT_EVERY = 5_000;

    public function __construct(
        private Pack $pack,
        private InitialState $situation,
        private ChatProfile $profile,
        private Wording $wording = new MessageKeys,
    ) {
    }

    /** An evening is live from its start, unless it is known otherwise. */
    public static function live(InitialState $situation, Moment $start): InitialState
    {
        return array_key_exists('live', $situation->channel)
            ? $situation
            : $situation->withChannel(['live' => true, 'started' => $start->iso()]);
    }

    /**
     * @param  iterable<Event>  $events  in the order of their moments
     * @param  int|null  $length  in milliseconds; null up to the last event
     * @param  Closure(int, Evening): bool|null  $goesOn  asked now and then with how many lines were heard, and what
     *     it came to so far
     * @param  Closure(Heard): void|null  $each  told of each
     * @param  Closure(Checkpoint): void|null  $keep  told of each checkpoint; null where none is wanted
     * @return Evening as far as it came
     */
    public function hear(
        iterable $events,
        string $seed,
        Moment $start,
        ?int $length = null,
        ?Closure $goesOn = null,
        ?Closure $each = null,
        ?Closure $keep = null,
    ): Evening {
        $rehearsal = $this->rehearsal($seed);
        $evening = new Evening($this->pack, $this->profile, $start);
        $end = $length === null ? null : $start->plusMillis($length);
        $last = $number = 0;
        $between = $keep === null ? null : static function (int $events, Moment $clock) use (
            $rehearsal,
            $keep,
            &$last,
        ): void {
            if ($events - $last >= self::CHECKPOINT_EVERY) {
                $last = $events;
                $keep($rehearsal->checkpoint($events, $clock->millis));
            }
        };
        foreach (Runner::each($rehearsal, $events, $start, $end, $between) as $heard) {
            $evening->take($heard);
            if ($each !== null) {
                $each($heard);
            }
            if (
                $goesOn !== null
                && ++$number % self::LOOK_EVERY === 0
                && ! $goesOn($evening->lines, $evening)
            ) {
                break;
            }
        }
        $evening->end($length ?? 0);
        $evening->found = $rehearsal->found();

        return $evening;
    }

    /**
     * One moment of the same evening with its why: what lies between the nearest checkpoint and it is heard on the way.
     *
     * @param  iterable<Event>  $events  the same as before
     * @param  string  $key  of the event
     * @param  int|null  $length  in milliseconds, as it was heard
     * @param  list<Checkpoint>  $before  of the same evening, all from its start up to the one that is nearest
     */
    public function moment(
        iterable $events,
        string $seed,
        Moment $start,
        string $key,
        ?int $length = null,
        array $before = [],
    ): ?HeardAgain {
        $rehearsal = $this->rehearsal($seed);
        $rehearsal->traceOnly($key);
        $from = $before === [] ? null : Checkpoint::joined($before);
        if ($from !== null) {
            $rehearsal->resume($from);
        }
        $end = $length === null ? null : $start->plusMillis($length);
        foreach (Runner::each($rehearsal, $events, $start, $end, from: $from) as $heard) {
            if ($heard->event?->key() === $key) {
                return new HeardAgain($heard, $seed, $rehearsal->given(), $rehearsal->told());
            }
        }

        return null;
    }

    private function rehearsal(string $seed): Rehearsal
    {
        return new Rehearsal(
            $this->pack,
            $this->situation->withDetailsOf($this->pack),
            $seed,
            $this->profile,
            false,
            wording: $this->wording,
            isLong: true,
        );
    }
}
