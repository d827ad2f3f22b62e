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
    /** Whoever wrote within this is taken to be here still. */
    public const HERE_SECONDS = 600;

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
    public function reads(array $people): Reads
    {
        return Reads::of(...array_map(fn (Person $one): Key => Holdings::key($this->unit, $one), $people));
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

    public function isForLines(): bool
    {
        return $this->rule->by === EarnedBy::Line;
    }
}
