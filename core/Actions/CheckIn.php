<?php

declare(strict_types=1);

namespace SilverParrot\Actions;

use DateTimeZone;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/** Once a day, with runs of days: kept is {day, run, longest, days}. */
final readonly class CheckIn
{
    public function __construct(private Person $person, private DateTimeZone $zone)
    {
    }

    public function reads(): Reads
    {
        return Reads::of(Key::checkIn($this->person->id));
    }

    public function do(Moment $now, View $memory): ActionDone
    {
        $key = Key::checkIn($this->person->id);
        $kept = $memory->value($key);
        $kept = is_array($kept) ? $kept : [];
        $number = static fn (string $part): int => is_int($kept[$part] ?? null) ? $kept[$part] : 0;
        $here = $now->in($this->zone);
        $today = $here->format('Y-m-d');
        if (($kept['day'] ?? '') === $today) {
            $midnight = Moment::of($here->modify('+1 day')->setTime(0, 0));

            return ActionDone::with([], [
                'before' => $number('run'),
                'after' => $number('run'),
                'left' => TimeSpan::between($now, $midnight),
            ]);
        }
        $yesterday = $here->modify('-1 day')->format('Y-m-d');
        $run = ($kept['day'] ?? '') === $yesterday ? $number('run') + 1 : 1;
        $after = [
            'day' => $today,
            'run' => $run,
            'longest' => max($run, $number('longest')),
            'days' => $number('days') + 1,
        ];

        return ActionDone::with(
            [new Change($key, $kept === [] ? null : $kept, $after, 'check-in', $this->person->login)],
            ['before' => $number('run'), 'after' => $run, 'has' => $after['days']],
        );
    }
}
