<?php

declare(strict_types=1);

namespace SilverParrot\Actions;

use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\EarnedBy;
use SilverParrot\Pack\Earning;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/** What a rule gives to whom, once for each of its stretches of time. */
final readonly class EarnPoints
{
    private function __construct(private Earning $rule, private Field $unit)
    {
    }

    /** @return self|null null where the unit is gone */
    public static function by(Earning $rule, Pack $pack): ?self
    {
        foreach ($pack->fields as $field) {
            if (Fold::caseless($field->id) === Fold::caseless($rule->unit)) {
                return new self($rule, $field);
            }
        }

        return null;
    }

    /** @return int which stretch of time a moment lies in; each is given for once */
    public static function stretch(Earning $rule, Moment $now): int
    {
        return intdiv($now->millis, max(1, $rule->minutes) * 60_000);
    }

    /** @param  list<Person>  $people */
    public function reads(array $people, Pack $pack): Reads
    {
        $ladder = $pack->ladders[Fold::caseless($this->unit->name)] ?? null;
        $ranks = $ladder !== null && $ladder->byEverEarned && $ladder->speaks();
        $keys = [];
        foreach ($people as $one) {
            $keys[] = Holdings::key($this->unit, $one);
            if ($ranks) {
                $keys[] = Key::everEarned($this->unit->id, $one->id);
            }
        }

        return Reads::of(...$keys);
    }

    /**
     * @param  list<Person>  $people
     * @return list<Person> those who earn by it
     */
    public function earners(array $people, Pack $pack, ?bool $isLive): array
    {
        $without = array_fill_keys($pack->withoutPoints($this->unit), true);

        return array_values(
            array_filter(
                $people,
                fn (Person $one): bool => ! isset($without[Fold::caseless($one->login)])
                    && $this->rule->isFor($one->levels, $isLive),
            ),
        );
    }

    /**
     * @param  list<Person>  $earners
     * @param  array<string, int>  $times  how often each earns, by person id; once where it is not said
     * @return list<Change>
     */
    public function changes(array $earners, array $times, View $memory): array
    {
        $changes = [];
        foreach ($earners as $person) {
            $has = Holdings::has($this->unit, $person, $memory);
            $amount = min($this->rule->amount * ($times["#{$person->id}"] ?? 1), Limits::COUNTER - $has);
            if ($amount > 0) {
                $key = Holdings::key($this->unit, $person);
                $changes[] = new Change(
                    $key,
                    $memory->value($key),
                    $has + $amount,
                    "viewer.{$this->unit->name}",
                    $person->login,
                    $amount,
                    true,
                );
                $changes[] = HandOut::ever($this->unit, $person, $amount);
            }
        }

        return $changes;
    }

    /** Whether it is given when such a thing happens, and not by the clock. */
    public static function isForHappening(Earning $rule, string $kind): bool
    {
        return $rule->by === EarnedBy::Happening && $rule->happening === $kind;
    }

    public function isForLines(): bool
    {
        return $this->rule->by === EarnedBy::Line;
    }
}
