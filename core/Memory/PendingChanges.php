<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/**
 * A view with changes laid over it: all that an event is about to change, by whichever gate, step or verb. Each sees
 * what was changed before it, and of one key there is one change in the end.
 */
final class PendingChanges implements View
{
    /** @var array<string, Change> by key id, the latest of each, with the value before the first */
    private array $changes = [];

    public function __construct(private readonly View $under)
    {
    }

    public function knows(Key $key): bool
    {
        // What is only added to is known as far as what lies under it is.
        return (isset($this->changes[$key->id()]) && ! $key->kind->isTally()) || $this->under->knows($key);
    }

    public function value(Key $key): null|bool|int|string|array
    {
        $change = $this->changes[$key->id()] ?? null;

        if ($change !== null && $key->kind->isTally()) {
            $before = $this->under->value($key);

            return (is_int($before) ? $before : 0) + ($change->added ?? 0);
        }

        return $change === null ? $this->under->value($key) : $change->to;
    }

    public function change(Change $change): void
    {
        $id = $change->key->id();
        $this->changes[$id] = isset($this->changes[$id]) ? $this->changes[$id]->then($change) : $change;
    }

    public function take(self $others): void
    {
        array_map($this->change(...), $others->changes());
    }

    /** @return list<Change> */
    public function changes(): array
    {
        return array_values(
            array_filter($this->changes, static fn (Change $change): bool => ! $change->changesNothing()),
        );
    }
}
