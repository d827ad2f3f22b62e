<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use Generator;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Source\Wording;

/** Runs a script against a pack, and looks at what it expects. */
final readonly class ScriptRun
{
    /** What it has read of the pack is read once, however many scripts run. */
    private EventHandler $handler;

    public function __construct(
        private Pack $pack,
        public ChatProfile $profile,
        private Wording $wording = new MessageKeys,
    ) {
        $this->handler = new EventHandler;
    }

    /** @param  bool  $isTraced  whether the whys are wanted too */
    public function of(ReadScript $script, bool $isTraced = false): ScriptResult
    {
        $rehearsal = $this->rehearsal($script, $isTraced);
        $parts = $heard = $asked = $after = $given = $told = [];
        foreach (Runner::each($rehearsal, $this->events($script, $rehearsal, $parts), $script->at) as $one) {
            $heard[] = $one;
            $place = $parts[$one->from()] ?? null;
            foreach ($rehearsal->asked() as $id) {
                $asked[$place ?? ''][$id] = true;
                $asked['all'][$id] = true;
            }
            if ($place !== null) {
                $given[$place] ??= $rehearsal->given();
                $told[$place] ??= $rehearsal->told();
            }
            // Memory behind a line counts for what is expected of it, also where more comes of it later.
            if ($place !== null && $script->parts[$place]->expected !== []) {
                $after[$place] = $rehearsal->memory();
            }
        }
        $checked = [];
        foreach ($script->parts as $place => $part) {
            $of = array_values(array_filter(
                $heard,
                static fn (Heard $one): bool => ($parts[$one->from()] ?? null) === $place,
            ));
            $seen = new Seen($of, $after[$place] ?? [], $asked[$place] ?? [], $this->pack, $this->wording);
            foreach ($part->expected as $expected) {
                $checked[] = new Checked($place, $part->millis, $expected, $expected->unmet($seen), $seen->texts());
            }
        }
        $all = new Seen($heard, $rehearsal->memory(), $asked['all'] ?? [], $this->pack, $this->wording);
        foreach ($script->expected as $expected) {
            $checked[] = new Checked(null, $script->length(), $expected, $expected->unmet($all), []);
        }

        return new ScriptResult($script, $checked, $heard, $parts, $given, $told);
    }

    private function rehearsal(ReadScript $script, bool $isTraced): Rehearsal
    {
        $pack = $script->isFloodLifted ? $this->pack->withFlood(new Flood(0, 0)) : $this->pack;
        $rehearsal = new Rehearsal(
            $pack,
            $script->situation->withDetailsOf($pack),
            $script->seed,
            $this->profile,
            $isTraced,
            $this->handler,
            $this->wording,
        );
        foreach ($script->cast as $member) {
            $rehearsal->enter($member->person());
        }

        return $rehearsal;
    }

    /**
     * @param  array<string, int>  $places  of the script's parts, by the key of their event
     * @return Generator<int, Event>
     */
    private function events(ReadScript $script, Rehearsal $rehearsal, array &$places): Generator
    {
        $lines = 0;
        foreach ($script->parts as $place => $part) {
            $what = $part->what;
            $event = $what instanceof TimedLine
                ? new ChatLine(
                    Runner::key($lines++, $what),
                    self::person($script, $rehearsal, $what->by),
                    $what->text,
                    $script->at->plusMillis($part->millis),
                    isWhisper: $what->isWhisper,
                )
                : $what->taking($script->at->plusMillis($part->millis));
            $places[$event->key()] = $place;
            yield $event;
        }
    }

    /** Whoever is not in the cast was somebody of the real chat, and is known by what was kept of them; or is new. */
    private static function person(ReadScript $script, Rehearsal $rehearsal, string $name): Person
    {
        $person = $rehearsal->person($name);
        if ($person === null) {
            $kept = $script->situation->memory[Key::person($name)->id()] ?? null;
            $person = Person::fromRecord($kept) ?? Person::known(CastMember::idOf($name), $name, $name, Levels::of());
            $rehearsal->enter($person);
        }

        return $person;
    }
}
