<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use Closure;

/** Memory that lasts as long as this object: rehearsals, the command line, tests. */
final class InMemoryStore implements Store
{
    /** @var array<string, true> */
    private array $taken = [];

    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $values by key id */
    public function __construct(private array $values = [])
    {
    }

    public function snapshot(Reads $reads): View
    {
        return new KnownView(array_map(fn (Key $key): null|bool|int|string|array => $this->values[$key->id()] ?? null, $reads->keys));
    }

    public function whole(): View
    {
        return new WholeView($this->values);
    }

    public function turn(string $eventKey, Reads $reads, Closure $hear): Turn|Already
    {
        if (isset($this->taken[$eventKey])) {
            return new Already($eventKey);
        }
        $turn = $hear($this->snapshot($reads));
        $changes = $turn->changesToKeep();
        if ($changes !== null) {
            $this->taken[$eventKey] = true;
            foreach ($changes as $change) {
                if ($change->to === null) {
                    unset($this->values[$change->key->id()]);
                } else {
                    $this->values[$change->key->id()] = $change->to;
                }
            }
        }

        return $turn;
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> by key id */
    public function values(): array
    {
        return $this->values;
    }
}
