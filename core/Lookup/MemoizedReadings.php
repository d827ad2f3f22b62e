<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/**
 * What one event has read: the same each time it is heard, though what is kept outside may grow old in between. Unlike
 * the other readings it is not a value: it grows while its event is carried through.
 */
final class MemoizedReadings implements Readings, TellsOrigins
{
    /** What stands before a request's id where its origin is kept; no request has such an id. */
    public const ORIGIN = 'origin of ';

    /** @var array<string, Request> look-ups that were read, by request id */
    private array $lookups = [];

    /** @var array<string, null|bool|int|string|Value> by request id */
    private array $read = [];

    private bool $isComplete = false;

    public function __construct(private readonly Readings $under)
    {
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        $id = $request->id;
        if ($request->subject === 'lookup') {
            $this->lookups[$id] = $request;
        }
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

    public function originOf(Request $request): ?ReadingOrigin
    {
        return $this->under instanceof TellsOrigins ? $this->under->originOf($request) : null;
    }

    /** From now on, what is still missing is a gap for good. */
    public function complete(): void
    {
        $this->isComplete = true;
    }

    /** @return list<string> ids of what look-ups were asked for, also where nothing came of it */
    public function asked(): array
    {
        return array_keys($this->lookups);
    }

    /**
     * @return array<string, null|bool|int|string> by request id, as they are kept, with their origins; gaps are left
     *     out, since what is missing is one again, and so is what is found in memory
     */
    public function plain(): array
    {
        $plain = [];
        foreach ($this->read as $id => $value) {
            $isOfLookup = str_starts_with($id, 'lookup.');
            if (! $value instanceof Value || ($isOfLookup && ! $value instanceof Gap)) {
                $plain[$id] = KeptReading::of($value);
            }
        }
        foreach (array_intersect_key($this->lookups, $plain) as $id => $request) {
            $origin = $this->originOf($request)?->kept();
            if ($origin !== null) {
                $plain[self::ORIGIN.$id] = $origin;
            }
        }

        return $plain;
    }
}
