<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** Runs a whole chat through a rehearsal. */
final class Runner
{
    /**
     * @param  list<TimedLine>  $lines
     * @param  array<string, list<Level>>  $levels  by folded name; over those of the cast
     */
    public static function run(Rehearsal $rehearsal, array $lines, array $levels, Moment $start): Report
    {
        foreach ($levels as $name => $held) {
            $known = $rehearsal->person((string) $name);
            $rehearsal->enter(Person::known($known->id ?? "cast-$name", $known->login ?? (string) $name, $known->name ?? '', Levels::of(...$held), $known->tier ?? 0));
        }
        $heard = [];
        foreach ($lines as $index => $line) {
            $person = $rehearsal->person($line->by);
            if ($person === null) {
                $person = Person::known('cast-'.Fold::caseless($line->by), $line->by, $line->by, Levels::of());
                $rehearsal->enter($person);
            }
            $heard[] = new Heard($line, $person, $rehearsal->line(self::key($index, $line), $person, $line->text, $start->plusMillis($line->millis)));
        }

        return new Report($heard);
    }

    /** Luck hangs on it: a line taken from the air keeps its own. */
    public static function key(int $index, TimedLine $line): string
    {
        return $line->key === '' ? "line $index" : $line->key;
    }
}
