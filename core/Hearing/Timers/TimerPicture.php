<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Timers;

use SilverParrot\Pack\Timer;

/** When timers would speak in two hours of a stream in which enough is written: the most that they can. */
final class TimerPicture
{
    public const MINUTES = 120;

    /**
     * @param  list<Timer>  $timers
     * @return array<int, list<float>> minutes after the beginning, by the timer’s place
     */
    public static function of(array $timers): array
    {
        $said = $next = [];
        foreach ($timers as $place => $timer) {
            $said[$place] = [];
            if ($timer->isOn && $timer->minutes > 0) {
                $next[$place] = (float) $timer->minutes;
            }
        }
        for ($last = null; $next !== [];) {
            asort($next);
            $place = array_key_first($next);
            $at = max($next[$place], $last === null ? 0.0 : $last + TimerClock::APART / 60);
            if ($at > self::MINUTES) {
                unset($next[$place]);

                continue;
            }
            $said[$place][] = $last = $at;
            $next[$place] = $at + $timers[$place]->minutes;
        }

        return $said;
    }
}
