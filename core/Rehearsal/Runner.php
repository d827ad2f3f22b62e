<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\CastMember;
use SilverParrot\Value\Moment;

/** Runs a whole chat through a rehearsal, and what comes of it later. */
final class Runner
{
    /**
     * @param  list<TimedLine>  $lines
     * @param  array<string, list<Level>>  $levels  by folded name; over those of the cast
     * @param  array<string, string>  $names  as somebody wrote them, by folded name
     */
    public static function run(
        Rehearsal $rehearsal,
        array $lines,
        array $levels,
        Moment $start,
        array $names = [],
    ): Report {
        foreach ($levels as $name => $held) {
            $known = $rehearsal->person((string) $name);
            $rehearsal->enter(
                Person::known(
                    $known->id ?? CastMember::idOf((string) $name),
                    $known->login ?? (string) $name,
                    $known->name ?? ($names[$name] ?? ''),
                    Levels::of(...$held),
                    $known->tier ?? 0,
                ),
            );
        }
        $queue = new EventQueue;
        $numbers = [];
        foreach ($lines as $number => $line) {
            $key = self::key($number, $line);
            $numbers[$key] = $number;
            $queue->add(
                new ChatLine(
                    $key,
                    self::person($rehearsal, $line->by),
                    $line->text,
                    $start->plusMillis($line->millis),
                    isWhisper: $line->isWhisper,
                ),
            );
        }
        $heard = [];
        $clock = $start;
        while (($event = $queue->next()) !== null) {
            while (($due = $rehearsal->dueBefore($event->at(), $clock)) !== null) {
                $clock = $due->at();
                $outcome = $rehearsal->hear($due);
                array_map($queue->add(...), $outcome->later);
                $heard[] = new Heard(new TimedLine($clock->millis - $start->millis, '', ''), null, $outcome, null);
            }
            $clock = $event->at();
            $outcome = $rehearsal->hear($event);
            array_map($queue->add(...), $outcome->later);
            $number = $event instanceof ChatLine ? $numbers[$event->key] ?? null : null;
            $by = $event->person();
            $heard[] = new Heard(
                $number === null
                    ? new TimedLine($event->at()->millis - $start->millis, $by->login ?? '', $event->line()->text ?? '')
                    : $lines[$number],
                $by,
                $outcome,
                $number,
            );
        }

        return new Report($heard);
    }

    /** Luck hangs on it: a line taken from the air keeps its own. */
    public static function key(int $index, TimedLine $line): string
    {
        return $line->key === '' ? "line $index" : $line->key;
    }

    /** Who is nobody of the cast comes in as a viewer without any level. */
    private static function person(Rehearsal $rehearsal, string $name): Person
    {
        $person = $rehearsal->person($name);
        if ($person === null) {
            $person = Person::known(CastMember::idOf($name), $name, $name, Levels::of());
            $rehearsal->enter($person);
        }

        return $person;
    }
}
