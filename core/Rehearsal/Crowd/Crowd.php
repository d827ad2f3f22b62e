<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

use Generator;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Happening;
use SilverParrot\Chat\HappeningKind;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\EventQueue;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/** Generated chat: the same for the same description, pack, log and seed. */
final class Crowd
{
    /** Those of a raid shout within so many milliseconds. */
    private const RAID_SHOUTS = 15_000;

    /** Somebody who is away is looked past so often before whoever is next writes all the same. */
    private const TRIES = 30;

    /** Out of a hundred people, this many are here at the start. */
    private const HERE = 60;

    /** @param  list<string>  $log  lines of a real chat, from whose words it takes too */
    public function __construct(
        private readonly CrowdDescription $description,
        private readonly Pack $pack,
        private readonly string $seed,
        private readonly array $log = [],
    ) {
    }

    /** @return list<Person> of the description, whoever writes most first; raiders come later */
    public function people(): array
    {
        $luck = new Luck("{$this->seed} people");

        return array_map(static fn (CrowdPerson $one): Person => $one->person, $this->enter($luck));
    }

    /**
     * In the order of their moments.
     *
     * @return Generator<int, Event>
     */
    public function events(Moment $start): Generator
    {
        $people = $this->enter(new Luck("{$this->seed} people"));
        $luck = new Luck($this->seed);
        $talk = new CrowdTalk($luck, $this->pack, $this->log, $people);
        $habits = [null, ...$this->habits()];
        $habitSums = $this->habitSums();
        $sums = self::sums(CrowdDescription::weights(count($people), $this->description->busiestTenth));
        $more = $this->happenings($luck, $people, $start);
        $end = (float) $this->description->length();
        $total = $this->passed($end);
        $passed = 0.0;
        $number = 0;
        for ($left = $this->description->lines; $left > 0; $left--) {
            // The next of so many moments that lie anywhere in what is left (order statistics of equal chances).
            $passed += ($total - $passed) * (1 - $luck->part() ** (1 / $left));
            $millis = (int) min($end, $this->momentOf($passed));
            while (($event = $more->before($start->plusMillis($millis + 1))) !== null) {
                yield $number++ => self::numbered($event, $number);
            }
            $by = $this->whoWrites($people, $sums, $millis, $luck);
            $habit = $habits[$luck->place($habitSums)];
            $said = $habit === null ? '' : $habit->line($talk, $by);
            $said = $said === '' ? $talk->chatter() : $said;
            $by->last = $said;
            yield $number++ => self::numbered(
                self::line($by->person, $said, $start->plusMillis($millis)),
                $number,
            );
            foreach ($talk->next as [$after, $text]) {
                $more->add(self::line($by->person, $text, $start->plusMillis($millis + $after)));
            }
            $talk->next = [];
        }
        while (($event = $more->before(new Moment(PHP_INT_MAX))) !== null) {
            yield $number++ => self::numbered($event, $number);
        }
    }

    /** @return list<Habit> those that have a share */
    private function habits(): array
    {
        return array_values(array_filter(
            Habits::all(),
            fn (Habit $habit): bool => ($this->description->habits[$habit::key()] ?? 0) > 0,
        ));
    }

    /** @return non-empty-list<float> what is said by the way first */
    private function habitSums(): array
    {
        $shares = array_map(
            fn (Habit $habit): float => (float) $this->description->habits[$habit::key()],
            $this->habits(),
        );

        return self::sums([max(0.0, 100.0 - array_sum($shares)), ...$shares]);
    }

    /**
     * @param  list<float>  $weights
     * @return non-empty-list<float>
     */
    private static function sums(array $weights): array
    {
        $sums = [];
        $sum = 0.0;
        foreach ($weights as $weight) {
            $sums[] = $sum += $weight;
        }

        return $sums === [] ? [1.0] : $sums;
    }

    /** @return non-empty-list<CrowdPerson> */
    private function enter(Luck $luck): array
    {
        $people = [];
        for ($place = 0; $place < max(1, $this->description->people); $place++) {
            $name = self::name($place);
            $levels = [];
            foreach ($this->description->levels as $word => $percent) {
                $level = Level::named($word);
                if ($level !== null && $luck->whole(1, 100) <= $percent) {
                    $levels[] = $level;
                }
            }
            $person = new CrowdPerson(Person::known(
                CastMember::idOf($name),
                $name,
                $name,
                Levels::of(...$levels),
                in_array(Level::Subscriber, $levels, true) ? $luck->whole(1, 3) : 0,
            ));
            if ($this->description->stays > 0) {
                $person->isHere = $luck->whole(1, 100) <= self::HERE;
                $person->turns = (int) $luck->pause($this->description->stays * 60_000);
            }
            $people[] = $person;
        }

        return $people;
    }

    private static function name(int $place): string
    {
        $names = count(CrowdWords::NAMES);
        $round = intdiv($place, $names);
        $all = count(CrowdWords::OF);

        return CrowdWords::NAMES[$place % $names].CrowdWords::OF[$round % $all]
            .($round >= $all ? (string) intdiv($round, $all) : '');
    }

    /**
     * @param  non-empty-list<CrowdPerson>  $people
     * @param  non-empty-list<float>  $sums
     */
    private function whoWrites(array $people, array $sums, int $millis, Luck $luck): CrowdPerson
    {
        $stays = $this->description->stays * 60_000;
        for ($try = 0; ; $try++) {
            $by = $people[$luck->place($sums)];
            while ($by->turns <= $millis) {
                $by->isHere = ! $by->isHere;
                $away = $stays * (100 - self::HERE) / self::HERE;
                $by->turns += 1 + (int) $luck->pause($by->isHere ? $stays : $away);
            }
            if ($by->isHere || $try >= self::TRIES) {
                return $by;
            }
        }
    }

    /** @param  non-empty-list<CrowdPerson>  $people */
    private function happenings(Luck $luck, array $people, Moment $start): EventQueue
    {
        $queue = new EventQueue;
        foreach ($this->description->happenings as $place => $happening) {
            $at = $start->plusMillis($happening->minute * 60_000);
            if ($happening->kind === HappeningKind::Follow) {
                for ($one = 0; $one < $happening->count; $one++) {
                    $who = $luck->one($people)->person;
                    $queue->add(new Happening(
                        "follow $place $one",
                        $happening->kind,
                        $at->plusMillis($one * 2_000),
                        $who,
                    ));
                }

                continue;
            }
            $queue->add(new Happening(
                "happening $place",
                $happening->kind,
                $at,
                count: $happening->count,
                text: $happening->text,
            ));
            for ($one = 0; $happening->kind === HappeningKind::Raid && $one < $happening->count; $one++) {
                $name = self::name($this->description->people + $place * CrowdDescription::LARGEST_RAID + $one);
                $said = strtr($luck->one(CrowdWords::RAID), ['{place}' => $luck->one(CrowdWords::KINDS['place'])]);
                $queue->add(self::line(
                    Person::known(CastMember::idOf($name), $name, $name, Levels::of()),
                    $said,
                    $at->plusMillis($luck->whole(0, self::RAID_SHOUTS)),
                ));
            }
        }

        return $queue;
    }

    /** A line has its key once it is its turn: the number that it has among all. */
    private static function numbered(Event $event, int $number): Event
    {
        return $event instanceof ChatLine
            ? new ChatLine("line $number", $event->by, $event->text, $event->at)
            : $event;
    }

    private static function line(Person $by, string $text, Moment $at): ChatLine
    {
        return new ChatLine('', $by, mb_substr($text, 0, Limits::LINE), $at);
    }

    /** How much would be written up to a moment, as milliseconds of an hour as ever. */
    private function passed(float $millis): float
    {
        $passed = 0.0;
        foreach ($this->pieces() as [$from, $to, $pace]) {
            $passed += max(0.0, min($millis, $to) - $from) * $pace;
        }

        return $passed;
    }

    /** The other way round. */
    private function momentOf(float $passed): float
    {
        $last = 0.0;
        foreach ($this->pieces() as [$from, $to, $pace]) {
            $here = ($to - $from) * $pace;
            if ($passed <= $here && $pace > 0) {
                return $from + $passed / $pace;
            }
            $passed -= $here;
            $last = $to;
        }

        return $last;
    }

    /** @var list<array{float, float, float}>|null from, to, pace */
    private ?array $pieces = null;

    /** @return list<array{float, float, float}> of equal pace, in order */
    private function pieces(): array
    {
        if ($this->pieces === null) {
            $edges = [0, $this->description->length()];
            foreach ($this->description->phases as $phase) {
                array_push($edges, $phase->from * 60_000, $phase->to * 60_000);
            }
            $edges = array_filter($edges, fn (int $edge): bool => $edge <= $this->description->length());
            sort($edges);
            $pieces = [];
            for ($place = 1; $place < count($edges); $place++) {
                if ($edges[$place] > $edges[$place - 1]) {
                    $pace = $this->description->paceAt($edges[$place - 1]) ?? 1.0;
                    $pieces[] = [(float) $edges[$place - 1], (float) $edges[$place], $pace];
                }
            }
            $this->pieces = $pieces;
        }

        return $this->pieces;
    }
}
