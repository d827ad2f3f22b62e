<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\Earning;
use SilverParrot\Value\Moment;

/** Who wrote lately in one channel, and how much in which minute: what points are earned by. */
final class Present
{
    /** People that are known of; whoever wrote longest ago makes room. */
    private const MOST = 20_000;

    /** @var array<string, array{Person, int}> who, and when they wrote last in milliseconds; by "#" and person id */
    private array $last = [];

    /** @var array<int, array<string, int>> lines of the last minutes, by minute and person */
    private array $lines = [];

    /** @var array{int, list<Person>}|null in which minute the chat's own list was looked at last, and who is on it */
    public ?array $listed = null;

    /** The last minute that counts as time of those who are here. */
    public ?int $countedMinute = null;

    /** @var array<string, int> up to which stretch of time a rule has been given for */
    public array $given = [];

    public function heard(ChatLine $line): void
    {
        $who = "#{$line->by->id}";
        unset($this->last[$who]);
        $this->last[$who] = [$line->by, $line->at->millis];
        $minute = intdiv($line->at->millis, 60_000);
        $this->lines[$minute][$who] = ($this->lines[$minute][$who] ?? 0) + 1;
        if (count($this->last) > self::MOST) {
            unset($this->last[array_key_first($this->last)]);
        }
        if (count($this->lines) > 3) {
            unset($this->lines[array_key_first($this->lines)]);
        }
    }

    /** @return list<Person> */
    public function since(int $millis): array
    {
        $people = [];
        // Who wrote last stands last.
        foreach (array_reverse($this->last) as [$person, $at]) {
            if ($at < $millis) {
                break;
            }
            $people[] = $person;
        }

        return $people;
    }

    /** @return list<Person> who is here now */
    public function here(Moment $now): array
    {
        return $this->since($now->millis - Person::HERE_SECONDS * 1_000);
    }

    /**
     * @param  int  $stretch  of a rule for lines, that has just ended
     * @return array{list<Person>, array<string, int>} who wrote in it, and how often each earns
     */
    public function wroteIn(Earning $rule, int $stretch): array
    {
        if ($rule->minutes > 0) {
            return [$this->since($stretch * $rule->minutes * 60_000), []];
        }
        $times = $this->lines[$stretch] ?? [];
        $people = array_map(fn (string $who): ?Person => $this->last[$who][0] ?? null, array_keys($times));

        return [array_values(array_filter($people)), $times];
    }
}
