<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\Connection;

/**
 * Who may speak for a channel. It is held for a few seconds and renewed each second; whoever takes it over raises the
 * epoch, and with it every turn of the one before is fenced off.
 */
final readonly class Lease
{
    /** A dead talker's channels move on within this and one heart beat. */
    private const SECONDS = 4;

    public function __construct(private Connection $connection, private string $holder)
    {
    }

    /** @return int|null the epoch; null while another holds the channel */
    public function take(int $channel): ?int
    {
        $taken = $this->connection->update(
            // A lease that ends later than any can was written under a clock that was wrong since.
            'UPDATE channels SET lease_epoch = lease_epoch + 1, lease_holder = ?, air_state = ?, lease_until = UTC_TIMESTAMP(3) + INTERVAL '.self::SECONDS.' SECOND
             WHERE id = ? AND (lease_until IS NULL OR lease_until < UTC_TIMESTAMP(3) OR lease_until > UTC_TIMESTAMP(3) + INTERVAL '.(2 * self::SECONDS).' SECOND)',
            [$this->holder, Standing::Away->value, $channel],
        );
        /** @var object{lease_epoch: int}|null $row */
        $row = $taken === 1 ? $this->connection->selectOne('SELECT lease_epoch FROM channels WHERE id = ? AND lease_holder = ?', [$channel, $this->holder]) : null;

        return $row?->lease_epoch;
    }

    public function renew(int $channel, int $epoch, Standing $standing, bool $knowsPeople, Troubles $troubles = new Troubles): bool
    {
        // Matched rows count, changed or not: the moment always differs.
        return $this->connection->update(
            'UPDATE channels SET lease_until = UTC_TIMESTAMP(3) + INTERVAL '.self::SECONDS.' SECOND, air_state = ?, air_knows_people = ?, air_troubles = ?, air_seen_at = UTC_TIMESTAMP(3)
             WHERE id = ? AND lease_holder = ? AND lease_epoch = ?',
            [$standing->value, $knowsPeople, $troubles->json(), $channel, $this->holder, $epoch],
        ) === 1;
    }

    public function leave(int $channel, int $epoch): void
    {
        $this->connection->update('UPDATE channels SET lease_until = NULL, air_state = ? WHERE id = ? AND lease_holder = ? AND lease_epoch = ?', [Standing::Away->value, $channel, $this->holder, $epoch]);
    }
}
