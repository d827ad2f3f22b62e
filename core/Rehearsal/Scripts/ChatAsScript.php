<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Memory\Key;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Rehearsal\Scripts\Expecting\Says;
use SilverParrot\Rehearsal\Scripts\Expecting\SaysNothing;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Value\Moment;

/** A tried chat as a script: its lines, what each was answered, and all that they found. */
final class ChatAsScript
{
    /**
     * @param  list<TimedLine>  $lines
     * @param  InitialState  $situation  that the rehearsal began with
     */
    public static function of(
        Rehearsal $rehearsal,
        array $lines,
        Moment $start,
        string $seed,
        InitialState $situation,
        string $title,
        bool $isFloodLifted,
    ): ReadScript {
        $told = $people = [];
        $answers = [];
        $heard = Runner::run($rehearsal, $lines, [], $start, each: static function (Heard $one) use (
            $rehearsal,
            &$told,
            &$people,
        ): void {
            // What was told first was so at the start; what changed since is changed again.
            $told += $rehearsal->told();
            if ($one->by !== null) {
                $people[Key::person($one->by->login)->id()] = $one->by->record();
            }
        })->heard;
        foreach ($heard as $one) {
            $answers[$one->from()][] = $one;
        }
        $parts = [];
        foreach ($lines as $number => $line) {
            $of = $answers[Runner::key($number, $line)] ?? [];
            $texts = array_merge([], ...array_map(static fn (Heard $one): array => $one->outcome->texts(), $of));
            $reason = array_values(array_filter(array_map(
                static fn (Heard $one): string => $one->outcome->closed->gate ?? ($one->outcome->failed->reason ?? ''),
                $of,
            )))[0] ?? '';
            $parts[] = new ScriptPart(
                $line->millis,
                $line,
                [$texts === [] ? new SaysNothing($reason) : new Says($texts)],
            );
        }
        $memory = array_filter(
            $people + $situation->memory + $rehearsal->found(),
            static fn (mixed $value): bool => $value !== null,
        );
        $told = array_filter(
            $told,
            static fn (string $id): bool => str_starts_with($id, 'lookup.') || str_starts_with($id, 'person.'),
            ARRAY_FILTER_USE_KEY,
        );

        return new ReadScript(
            $title,
            $start,
            $seed,
            [],
            (new InitialState($memory, $situation->channel))->as([], $told),
            $parts,
            isFloodLifted: $isFloodLifted,
        );
    }
}
