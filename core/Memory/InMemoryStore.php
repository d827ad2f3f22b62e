<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use Closure;

/** Memory that lasts as long as this object: rehearsals, the command line, tests. */
final class InMemoryStore implements AtHand
{
    /** @var array<string, true> */
    private array $taken = [];

    private int $tally = 0;

    /** @var array<string, true> what was changed since somebody asked last, by key id */
    private array $changed = [];

    /** @var array<string, null|bool|int|string|array<string, mixed>> what was read beneath, by key id */
    private array $read = [];

    /**
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $values  by key id
     * @param  Store|null  $beneath  where what is not in here is read, and never written
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $otherwise  what is remembered where neither
     *     holds anything, by key id
     * @param  bool  $isAtHand  whether each key is read beneath by itself, when it is looked at
     */
    public function __construct(
        private array $values = [],
        private readonly ?Store $beneath = null,
        private readonly array $otherwise = [],
        private readonly bool $isAtHand = false,
    ) {
    }

    public function snapshot(Reads $reads): View
    {
        $missing = array_filter(
            $reads->keys,
            fn (Key $key): bool => ! array_key_exists($key->id(), $this->values)
                && ! array_key_exists($key->id(), $this->read),
        );
        $beneath = $missing === [] ? null : $this->beneath?->snapshot(Reads::of(...array_values($missing)));
        foreach ($missing as $id => $key) {
            $this->read[$id] = $beneath?->value($key) ?? $this->otherwise[$id] ?? null;
        }

        return new PartialView(
            array_map(
                fn (Key $key): null|bool|int|string|array => $this->values[$key->id()]
                    ?? (array_key_exists($key->id(), $this->values) ? null : $this->read[$key->id()]),
                $reads->keys,
            ),
        );
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> what was read beneath so far, by key id */
    public function beneath(): array
    {
        return $this->read;
    }

    /**
     * @return array<string, null|bool|int|string|array<string, mixed>> what was changed since this was asked last, by
     *     key id
     */
    public function changed(): array
    {
        $changed = array_intersect_key($this->values, $this->changed);
        $this->changed = [];

        return $changed;
    }

    /**
     * Kept where nothing is yet.
     *
     * @param  array<string, mixed>  $value
     */
    public function fill(Key $key, array $value): void
    {
        if ($this->at($key) === null) {
            $this->values[$key->id()] = $value;
            $this->changed[$key->id()] = true;
        }
    }

    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $values  over what is here, by key id */
    public function put(array $values): void
    {
        $this->values = $values + $this->values;
    }

    public function atHand(): ?ViewAtHand
    {
        return $this->isAtHand ? new ViewAtHand($this->at(...)) : null;
    }

    /** @return null|bool|int|string|array<string, mixed> */
    private function at(Key $key): null|bool|int|string|array
    {
        $id = $key->id();
        if (array_key_exists($id, $this->values)) {
            return $this->values[$id];
        }
        if (! array_key_exists($id, $this->read)) {
            $beneath = $this->beneath?->snapshot(Reads::of($key))->value($key);
            $this->read[$id] = $beneath ?? $this->otherwise[$id] ?? null;
        }

        return $this->read[$id];
    }

    public function whole(): View
    {
        return new CompleteView($this->values());
    }

    public function turn(EventKey $key, Reads $reads, Closure $hear): Turn|AlreadyHandled
    {
        if (isset($this->taken[$key->event]) || ($key->tally !== null && $key->tally <= $this->tally)) {
            return new AlreadyHandled($key->event);
        }
        $turn = $hear($this->snapshot($reads));
        $changes = $turn->changesToKeep();
        if ($changes !== null) {
            if ($key->event !== '') {
                $this->taken[$key->event] = true;
            }
            $this->tally = max($this->tally, $key->tally ?? 0);
            foreach ($changes as $change) {
                // What was cleared is kept as nothing, so that it is not read beneath again.
                $id = $change->key->id();
                $this->changed[$id] = true;
                $before = $this->values[$id] ?? 0;
                $this->values[$id] = $change->key->kind->isTally() && is_int($before)
                    ? $before + ($change->added ?? 0)
                    : $change->to;
            }
        }

        return $turn;
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> by key id */
    public function values(): array
    {
        return array_filter(
            $this->values + $this->read + $this->otherwise,
            static fn (mixed $value): bool => $value !== null,
        );
    }
}
