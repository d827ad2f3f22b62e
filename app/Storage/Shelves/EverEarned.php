<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Kind;

/** All points that viewers ever earned, spent or not. It is only added to, without a look before. */
final class EverEarned implements Keeps
{
    public const KIND = 'ever';

    public function __construct(private readonly Balances $balances = new Balances(self::KIND))
    {
    }

    public function read(Connection $connection, int $channel, array $keys, Viewers $viewers): array
    {
        return $this->balances->read($connection, $channel, $keys, $viewers);
    }

    public function each(Connection $connection, int $channel, Kind $kind): iterable
    {
        return $this->balances->each($connection, $channel, $kind);
    }

    public function keep(Connection $connection, int $channel, array $changes, Viewers $viewers): void
    {
        $connection->insert(
            'INSERT INTO balances (channel_id, kind, unit, viewer_id, amount) VALUES '
                .implode(',', array_fill(0, count($changes), '(?,?,?,?,?)'))
                .' ON DUPLICATE KEY UPDATE amount = amount + VALUES(amount)',
            array_merge(
                ...array_map(
                    static fn (Change $change): array => [
                        $channel,
                        self::KIND,
                        $change->key->name,
                        $viewers->numberOf($change->key->owner->of) ?? 0,
                        $change->added ?? 0,
                    ],
                    $changes,
                ),
            ),
        );
    }
}
