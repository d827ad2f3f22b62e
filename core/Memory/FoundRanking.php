<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Source\Fold;

/** Found in a memory that is all at hand. */
final readonly class FoundRanking implements Ranking
{
    /**
     * @param  Closure(): array<string, null|bool|int|string|array<string, mixed>>  $memory  by key id, looked at only
     *     when somebody asks
     */
    public function __construct(private Closure $memory)
    {
    }

    public function top(string $field, int $count, array $without = []): array
    {
        $has = [];
        $people = [];
        foreach (($this->memory)() as $id => $value) {
            $key = Key::fromId($id);
            if ($key?->kind === Kind::Field && $key->name === $field && is_int($value)) {
                $has[$key->owner->id] = $value;
            } elseif ($key?->kind === Kind::Person) {
                $person = Person::fromRecord($value);
                if ($person !== null && ! in_array(Fold::caseless($person->login), $without, true)) {
                    $people[Owner::viewer($person->id)->id] = $person;
                }
            }
        }
        $has = array_intersect_key($has, $people);
        // Who has as much stands by name, so that the order is the same each time.
        uksort(
            $has,
            static fn (string $a, string $b): int => $has[$b] <=> $has[$a] ?: $people[$a]->login <=> $people[$b]->login,
        );

        return array_map(
            static fn (string $owner): array => [$people[$owner], $has[$owner]],
            array_slice(array_keys($has), 0, $count),
        );
    }
}
