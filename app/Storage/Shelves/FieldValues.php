<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Kind;

/** Viewers' fields: whole numbers among the balances, which rankings go by, all else as it is. */
final class FieldValues implements Keeps
{
    public function __construct(
        private readonly Balances $balances = new Balances(Balances::FIELD),
        private readonly ViewerValues $values = new ViewerValues,
    ) {
    }

    /**
     * @param  list<\SilverParrot\Memory\Key>  $keys
     * @return array<string, null|bool|int|string|array<string, mixed>> by key id
     */
    public function read(Connection $connection, int $channel, array $keys, Viewers $viewers): array
    {
        return $this->balances->read($connection, $channel, $keys, $viewers)
            + $this->values->read($connection, $channel, $keys, $viewers);
    }

    public function each(Connection $connection, int $channel, Kind $kind): iterable
    {
        yield from $this->balances->each($connection, $channel, $kind);
        yield from $this->values->each($connection, $channel, $kind);
    }

    /** @param  list<Change>  $changes */
    public function keep(Connection $connection, int $channel, array $changes, Viewers $viewers): void
    {
        // What is kept in one is forgotten in the other, where it may have been another kind of value before.
        $this->balances->keep($connection, $channel, $changes, $viewers);
        $others = array_values(
            array_filter(
                $changes,
                static fn (Change $change): bool => ! is_int($change->to) || ! is_int($change->from),
            ),
        );
        if ($others !== []) {
            $this->values->keep($connection, $channel, $others, $viewers);
        }
    }
}
