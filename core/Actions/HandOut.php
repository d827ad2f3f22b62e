<?php

declare(strict_types=1);

namespace SilverParrot\Actions;

use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Source\Limits;

/** Points for all who are here, as much for each; who would have more than anybody can gets none. */
final readonly class HandOut
{
    /** @param  list<Person>  $here  without those who earn nothing */
    public function __construct(private Field $unit, private array $here)
    {
    }

    public function reads(): Reads
    {
        return Reads::of(...array_map(fn (Person $one): Key => Holdings::key($this->unit, $one), $this->here));
    }

    public function do(int $amount, View $memory): ActionDone
    {
        if ($amount < 1) {
            return ActionDone::refused($amount === 0 ? 'nothing-to-give' : 'negative', [
                'unit' => $this->unit->many(),
                'amount' => $amount,
            ]);
        }
        if ($this->here === []) {
            return ActionDone::refused('nobody-here');
        }
        $changes = [];
        foreach ($this->here as $person) {
            if (Holdings::has($this->unit, $person, $memory) + $amount <= Limits::COUNTER) {
                $changes[] = Holdings::add($this->unit, $person, $amount, $memory);
                $changes[] = self::ever($this->unit, $person, $amount);
            }
        }

        return ActionDone::with($changes, ['name' => $this->unit->many(), 'after' => count($this->here)]);
    }

    /** What was ever earned grows with it, and never falls. */
    public static function ever(Field $unit, Person $person, int $amount): Change
    {
        return new Change(Key::everEarned($unit->id, $person->id), null, $amount, '', $person->login, $amount);
    }
}
