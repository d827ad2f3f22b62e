<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use Closure;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Pack\Pack;
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
    /** Lines between two looks at whether it is to go on. */
    private const LOOK_EVERY = 500;

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
     * @param  Closure(int): bool|null  $goesOn  asked now and then with how many lines were heard
     * @param  Closure(Heard): void|null  $each  told of each
     * @return Evening as far as it came
     */
    public function hear(
        iterable $events,
        string $seed,
        Moment $start,
        ?int $length = null,
        ?Closure $goesOn = null,
        ?Closure $each = null,
    ): Evening {
        $rehearsal = $this->rehearsal($seed);
        $evening = new Evening($this->pack, $this->profile, $start);
        $end = $length === null ? null : $start->plusMillis($length);
        foreach (Runner::each($rehearsal, $events, $start, $end) as $heard) {
            $evening->take($heard);
            if ($each !== null) {
                $each($heard);
            }
            if (
                $goesOn !== null
                && $heard->event instanceof ChatLine
                && $evening->lines % self::LOOK_EVERY === 0
                && ! $goesOn($evening->lines)
            ) {
                break;
            }
        }
        $evening->end($length ?? 0);
        $evening->found = $rehearsal->found();

        return $evening;
    }

    /**
     * One moment of the same evening with its why: all before it is heard on the way there.
     *
     * @param  iterable<Event>  $events  the same as before
     * @param  string  $key  of the event
     */
    public function moment(iterable $events, string $seed, Moment $start, string $key): ?HeardAgain
    {
        $rehearsal = $this->rehearsal($seed);
        $rehearsal->traceOnly($key);
        foreach (Runner::each($rehearsal, $events, $start) as $heard) {
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
