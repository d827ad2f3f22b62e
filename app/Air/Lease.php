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
        [$seconds, $longest] = [self::SECONDS, 2 * self::SECONDS];
        $taken = $this->connection->update(
            // A lease that ends later than any can was written under a clock that was wrong since.
            "UPDATE channels SET lease_epoch = lease_epoch + 1, lease_holder = ?, air_state = ?,
                lease_until = UTC_TIMESTAMP(3) + INTERVAL $seconds SECOND
             WHERE id = ? AND (lease_until IS NULL OR lease_until < UTC_TIMESTAMP(3)
                OR lease_until > UTC_TIMESTAMP(3) + INTERVAL $longest SECOND)",
            [$this->holder, ConnectionState::Away->value, $channel],
        );
        /** @var object{lease_epoch: int}|null $row */
        $row =
            $taken === 1
                ? $this->connection->selectOne('SELECT lease_epoch FROM channels WHERE id = ? AND lease_holder = ?', [
                    $channel,
                    $this->holder,
                ])
                : null;

        return $row?->lease_epoch;
    }

    /**
     * One statement for all channels, and one to see which are still ours.
     *
     * @param  array<int, ChannelOnAir>  $channels  by the channel's number
     * @return list<int> those that are not ours any more
     */
    public function renew(array $channels): array
    {
        if ($channels === []) {
            return [];
        }
        // What is told of each stands in a row of its own, so that the statement stays one however many there are.
        $rows = implode(
            ' UNION ALL ',
            array_fill(
                0,
                count($channels),
                'SELECT CAST(? AS UNSIGNED) AS id, CAST(? AS UNSIGNED) AS epoch, ? AS state, CAST(? AS UNSIGNED) AS '
                    .'people, ? AS troubles',
            ),
        );
        $told = array_merge(
            ...array_map(
                static fn (ChannelOnAir $one): array => [
                    $one->id,
                    $one->epoch,
                    $one->state()->value,
                    ($one->chat?->knowsPeople() ?? true) ? 1 : 0,
                    $one->troubles->json(),
                ],
                array_values($channels),
            ),
        );
        $seconds = self::SECONDS;
        $renewed = $this->connection->update(
            "UPDATE channels c JOIN ($rows) told ON told.id = c.id
             SET c.lease_until = UTC_TIMESTAMP(3) + INTERVAL $seconds SECOND, c.air_state = told.state,
                c.air_knows_people = told.people, c.air_troubles = told.troubles, c.air_seen_at = UTC_TIMESTAMP(3)
             WHERE c.lease_holder = ? AND c.lease_epoch = told.epoch",
            [...$told, $this->holder],
        );
        if ($renewed === count($channels)) {
            return [];
        }
        $marks = implode(',', array_fill(0, count($channels), '(?,?)'));
        /** @var list<object{id: int}> $ours */
        $ours = $this->connection->select(
            "SELECT id FROM channels WHERE (id, lease_epoch) IN ($marks) AND lease_holder = ?",
            [
                ...array_merge(
                    ...array_map(
                        static fn (ChannelOnAir $one): array => [$one->id, $one->epoch],
                        array_values($channels),
                    ),
                ),
                $this->holder,
            ],
        );

        return array_values(array_diff(array_keys($channels), array_column($ours, 'id')));
    }

    public function leave(int $channel, int $epoch): void
    {
        $this->connection->update(
            'UPDATE channels SET lease_until = NULL, air_state = ? WHERE id = ? AND lease_holder = ? AND lease_epoch '
                .'= ?',
            [ConnectionState::Away->value, $channel, $this->holder, $epoch],
        );
    }
}
