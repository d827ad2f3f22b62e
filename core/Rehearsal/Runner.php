<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use Closure;
use Generator;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Pack\CastMember;
use SilverParrot\Value\Moment;

/** Runs a whole chat through a rehearsal, and what comes of it later. */
final class Runner
{
    /** Sayings of timers between two lines of a chat that somebody tries. */
    private const MOST_TIMERS = 500;

    /**
     * @param  list<TimedLine>  $lines
     * @param  array<string, list<Level>>  $levels  by folded name; over those of the cast
     * @param  array<string, string>  $names  as somebody wrote them, by folded name
     * @param  Closure(Heard): void|null  $each  told of each while the rehearsal stands at it
     * @param  Moment|null  $end  up to when timers speak; null for the last line
     */
    public static function run(
        Rehearsal $rehearsal,
        array $lines,
        array $levels,
        Moment $start,
        array $names = [],
        ?Closure $each = null,
        ?Moment $end = null,
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
        $events = $numbers = [];
        foreach ($lines as $number => $line) {
            $key = self::key($number, $line);
            $numbers[$key] = $number;
            $events[] = new ChatLine(
                $key,
                self::person($rehearsal, $line->by),
                $line->text,
                $start->plusMillis($line->millis),
                isWhisper: $line->isWhisper,
            );
        }
        // Of one moment, what stands first comes first.
        usort($events, static fn (ChatLine $a, ChatLine $b): int => $a->at->millis <=> $b->at->millis);
        $heard = [];
        foreach (self::each($rehearsal, $events, $start, $end, mostTimers: self::MOST_TIMERS) as $one) {
            if ($each !== null) {
                $each($one);
            }
            $number = $one->event instanceof ChatLine ? $numbers[$one->event->key] ?? null : null;
            $heard[] = $number === null
                ? $one
                : new Heard($lines[$number], $one->by, $one->outcome, $number, $one->event);
        }

        return new Report($heard);
    }

    /**
     * Hears one event after the other, between them the timers that are due, and what comes of each later; nothing is
     * kept of what was heard.
     *
     * @param  iterable<Event>  $events  in the order of their moments
     * @param  Moment|null  $end  up to when timers speak and what is still to come is heard; null for the last event
     * @param  Closure(int, Moment): void|null  $between  told how many events were heard up to which moment, where
     *     nothing is still to come of them
     * @param  Checkpoint|null  $from  where it goes on; null for the start
     * @param  int  $mostTimers  sayings of timers between two events
     * @return Generator<int, Heard>
     */
    public static function each(
        Rehearsal $rehearsal,
        iterable $events,
        Moment $start,
        ?Moment $end = null,
        ?Closure $between = null,
        ?Checkpoint $from = null,
        int $mostTimers = PHP_INT_MAX,
    ): Generator {
        $later = new EventQueue;
        $clock = $from === null ? $start : new Moment($from->clock);
        $number = 0;
        foreach ($events as $event) {
            if (++$number <= ($from->events ?? 0)) {
                continue;
            }
            if (! $later->isEmpty() || ! $rehearsal->isQuiet($event->at())) {
                yield from self::until($rehearsal, $later, $event->at(), $start, $clock, $mostTimers);
            }
            $clock = $event->at();
            yield self::heard($rehearsal, $event, $start, $later);
            if ($between !== null && $later->isEmpty()) {
                $between($number, $clock);
            }
        }
        $last = $end ?? new Moment(PHP_INT_MAX);
        yield from self::until($rehearsal, $later, $last, $start, $clock, $mostTimers, $end !== null);
    }

    /**
     * What comes of earlier events before a moment, each after the timers that are due before it.
     *
     * @return Generator<int, Heard>
     */
    private static function until(
        Rehearsal $rehearsal,
        EventQueue $later,
        Moment $until,
        Moment $start,
        Moment &$clock,
        int $mostTimers,
        bool $withTimers = true,
    ): Generator {
        // Whoever turns the clock a year on does not want to hear all that timers would have said.
        for ($timers = 0; ;) {
            $at = $later->at();
            $mayMore = $timers < $mostTimers;
            if ($at === null && ! ($withTimers && $mayMore)) {
                return;
            }
            $limit = $at !== null && $at->millis < $until->millis ? $at : $until;
            $next = ($mayMore ? $rehearsal->dueBefore($limit, $clock) : null) ?? $later->before($until);
            if ($next === null) {
                return;
            }
            $timers += $next instanceof TimerDue ? 1 : 0;
            $clock = $next->at();
            yield self::heard($rehearsal, $next, $start, $later);
        }
    }

    private static function heard(Rehearsal $rehearsal, Event $event, Moment $start, EventQueue $later): Heard
    {
        $outcome = $rehearsal->hear($event);
        foreach ($outcome->later as $one) {
            $later->add($one);
        }
        $by = $event->person();

        return new Heard(
            new TimedLine(
                $event->at()->millis - $start->millis,
                $by->login ?? '',
                $event instanceof TimerDue ? '' : $event->line()->text ?? '',
                isWhisper: $event->line()->isWhisper ?? false,
            ),
            $by,
            $outcome,
            null,
            $event,
        );
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
