<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;

/** Where one kind of thing is remembered. */
interface Keeps
{
    /**
     * @param  list<Key>  $keys  of its kind; their viewers were looked for
     * @return array<string, null|bool|int|string|array<string, mixed>> by key id; what is not kept is left out
     */
    public function read(Connection $connection, int $channel, array $keys, Viewers $viewers): array;

    /**
     * All that is kept, a few rows at a time.
     *
     * @return iterable<array{Key, null|bool|int|string|array<string, mixed>}>
     */
    public function each(Connection $connection, int $channel, Kind $kind): iterable;

    /** @param  list<Change>  $changes  of its kind, one of each key; their viewers have rows */
    public function keep(Connection $connection, int $channel, array $changes, Viewers $viewers): void;
}
