<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/**
 * What one event has read: the same each time it is heard, though what is kept outside may grow old in between. Unlike
 * the other readings it is not a value: it grows while its event is carried through.
 */
final class MemoizedReadings implements Readings
{
    /** @var array<string, null|bool|int|string|Value> by request id */
    private array $read = [];

    private bool $isComplete = false;

    public function __construct(private readonly Readings $under)
    {
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        $id = $request->id;
        if (array_key_exists($id, $this->read)) {
            return $this->read[$id];
        }
        $reading = $this->under->read($request);
        $isPending = $reading instanceof Gap && $reading->isPending();
        if ($isPending && ! $this->isComplete) {
            return $reading;
        }

        return $this->read[$id] = $isPending ? $request->couldNotBeHad() : $reading;
    }

    /** @param  array<string, null|bool|int|string|Value>  $readings by request id */
    public function add(array $readings): void
    {
        $this->read =
            array_filter($readings, static fn (mixed $value): bool => ! $value instanceof Gap || ! $value->isPending())
            + $this->read;
    }

    /** From now on, what is still missing is a gap for good. */
    public function complete(): void
    {
        $this->isComplete = true;
    }

    /**
     * @return array<string, null|bool|int|string> by request id; gaps are left out, since what is missing is one again
     */
    public function plain(): array
    {
        return array_filter($this->read, static fn (mixed $value): bool => ! $value instanceof Value);
    }
}
