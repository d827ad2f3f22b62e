<?php

declare(strict_types=1);

namespace App\Storage;

use App\Storage\Shelves\Shelves;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\OwnerKind;

/** Reads and keeps what one channel remembers, each kind where it stands. */
final readonly class ByKind
{
    /** Rows that one statement takes: the database has room for 65,535 values, and no table of these has 16 columns. */
    public const ROWS = 4_000;

    public Viewers $viewers;

    private Shelves $shelves;

    public function __construct(private Connection $connection, private int $channel)
    {
        $this->viewers = new Viewers($channel);
        $this->shelves = new Shelves;
    }

    /**
     * At most one statement for each table, and one for viewers who are not known yet.
     *
     * @param  array<string, Key>  $keys  by their ids
     * @return array<string, null|bool|int|string|array<string, mixed>> by key id; null for what is not kept
     */
    public function read(array $keys): array
    {
        $byKind = [];
        $people = [];
        foreach ($keys as $key) {
            $byKind[$key->kind->value][] = $key;
            if ($key->owner->kind === OwnerKind::Viewer) {
                $people[] = $key->owner->of;
            }
        }
        $this->viewers->find($this->connection, $people);
        $values = array_fill_keys(array_keys($keys), null);
        foreach ($byKind as $kind => $ofKind) {
            foreach (array_chunk($ofKind, self::ROWS) as $some) {
                $values = array_replace(
                    $values,
                    $this->shelves->of(Kind::from($kind))->read(
                        $this->connection,
                        $this->channel,
                        $some,
                        $this->viewers,
                    ),
                );
            }
        }

        return $values;
    }

    /**
     * @param  list<Change>  $changes  one of each key
     * @param  array<array-key, string>  $logins  of people, by their ids; where one is not known, the id says it
     */
    public function keep(array $changes, array $logins = []): void
    {
        $byKind = [];
        $owners = [];
        foreach ($changes as $change) {
            $byKind[$change->key->kind->value][] = $change;
            $id = $change->key->owner->kind === OwnerKind::Viewer ? $change->key->owner->of : self::personIn($change);
            if ($id !== '') {
                $owners[$id] = $logins[$id] ?? Viewers::parts($id)[1];
            }
        }
        $this->viewers->make($this->connection, $owners);
        foreach ($byKind as $kind => $ofKind) {
            foreach (array_chunk($ofKind, self::ROWS) as $some) {
                $this->shelves->of(Kind::from($kind))->keep($this->connection, $this->channel, $some, $this->viewers);
            }
        }
    }

    private static function personIn(Change $change): string
    {
        return $change->key->kind === Kind::Person && is_array($change->to) && is_string($change->to['id'] ?? null)
            ? $change->to['id']
            : '';
    }
}
