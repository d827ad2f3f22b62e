<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\Connection;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Saying;
use SilverParrot\Chat\Voice;

/** Sayings between the commit and the chat: each is said at most once, and not at all when it is too late. */
final readonly class OutgoingQueue
{
    /** After a crash, an answer older than this would surprise more than it helps. */
    private const FRESH_SECONDS = 20;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * One statement for all channels.
     *
     * @param  list<int>  $channels
     * @return list<int> those for which something is to be said
     */
    public function waiting(array $channels): array
    {
        if ($channels === []) {
            return [];
        }
        $marks = implode(',', array_fill(0, count($channels), '?'));
        /** @var list<object{channel_id: int}> $rows */
        $rows = $this->connection->select(
            "SELECT DISTINCT channel_id FROM outgoing WHERE channel_id IN ($marks) AND state = 'queued'",
            $channels,
        );

        return array_column($rows, 'channel_id');
    }

    /** @return array<int, Saying> by number, in their order */
    public function queued(int $channel): array
    {
        $queued = [];
        $stale = [];
        /**
         * @var object{id: int, text: string, voice: string, place: string, answer_to: string, to_login: string,
         *     is_stale: int} $row
         */
        foreach (
            $this->connection->select(
                'SELECT id, text, voice, place, answer_to, to_login, queued_at < UTC_TIMESTAMP(3) - INTERVAL '
                    .self::FRESH_SECONDS
                    ." SECOND AS is_stale FROM outgoing WHERE channel_id = ? AND state = 'queued' ORDER BY id",
                [$channel],
            ) as $row
        ) {
            if ($row->is_stale) {
                $stale[] = $row->id;
            } else {
                $queued[$row->id] = new Saying(
                    $row->text,
                    Voice::from($row->voice),
                    Place::from($row->place),
                    $row->answer_to,
                    $row->to_login,
                );
            }
        }
        foreach ($stale as $number) {
            $this->giveUp($channel, $number, 'stale');
        }

        return $queued;
    }

    /** @return list<int> milliseconds since each of what was handed on within so many seconds, longest ago first */
    public function agesOfHanded(int $channel, int $seconds): array
    {
        // What lies ahead was written under a clock that was wrong.
        /** @var list<object{age: int}> $rows */
        $rows = $this->connection->select(
            'SELECT TIMESTAMPDIFF(MICROSECOND, handed_at, UTC_TIMESTAMP(3)) DIV 1000 AS age FROM outgoing WHERE '
                ."channel_id = ? AND state = 'handed' AND handed_at BETWEEN UTC_TIMESTAMP(3) - INTERVAL $seconds "
                .'SECOND AND UTC_TIMESTAMP(3) ORDER BY handed_at',
            [$channel],
        );

        return array_map(static fn (object $row): int => (int) $row->age, $rows);
    }

    /** @param  string  $state  "stale" for what is too late, "dropped" for what the chat would not take */
    public function giveUp(int $channel, int $number, string $state): void
    {
        $this->connection->update(
            "UPDATE outgoing SET state = ? WHERE id = ? AND channel_id = ? AND state = 'queued'",
            [$state, $number, $channel],
        );
    }

    /** Marked before the socket is written to: whoever dies in between has not said it, and nobody says it again. */
    public function hand(int $channel, int $number, int $epoch): bool
    {
        return $this->connection->update(
            "UPDATE outgoing JOIN channels ON channels.id = outgoing.channel_id
             SET outgoing.state = 'handed', outgoing.handed_at = UTC_TIMESTAMP(3)
             WHERE outgoing.id = ? AND outgoing.channel_id = ? AND outgoing.state = 'queued'
                AND channels.lease_epoch = ?",
            [$number, $channel, $epoch],
        ) === 1;
    }
}
