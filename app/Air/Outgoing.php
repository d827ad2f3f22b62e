<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\Connection;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Saying;
use SilverParrot\Chat\Voice;

/** Sayings between the commit and the chat: each is said at most once, and not at all when it is too late. */
final readonly class Outgoing
{
    /** After a crash, an answer older than this would surprise more than it helps. */
    private const FRESH_SECONDS = 20;

    public function __construct(private Connection $connection)
    {
    }

    /** @return array<int, Saying> by number, in their order */
    public function queued(int $channel): array
    {
        $this->connection->update(
            "UPDATE outgoing SET state = 'stale' WHERE channel_id = ? AND state = 'queued' AND queued_at < UTC_TIMESTAMP(3) - INTERVAL ".self::FRESH_SECONDS.' SECOND',
            [$channel],
        );
        $queued = [];
        /** @var object{id: int, text: string, voice: string, place: string, answer_to: string} $row */
        foreach ($this->connection->select("SELECT id, text, voice, place, answer_to FROM outgoing WHERE channel_id = ? AND state = 'queued' ORDER BY id", [$channel]) as $row) {
            $queued[$row->id] = new Saying($row->text, Voice::from($row->voice), Place::from($row->place), $row->answer_to);
        }

        return $queued;
    }

    /** What was heard and said is looked back at for a day; an event that old comes no second time. */
    public function forgetOld(int $channel): void
    {
        $this->connection->delete('DELETE FROM heard_events WHERE channel_id = ? AND heard_at < UTC_TIMESTAMP(3) - INTERVAL 1 DAY LIMIT 5000', [$channel]);
        $this->connection->delete("DELETE FROM outgoing WHERE channel_id = ? AND state <> 'queued' AND queued_at < UTC_TIMESTAMP(3) - INTERVAL 1 DAY LIMIT 5000", [$channel]);
    }

    /** Marked before the socket is written to: whoever dies in between has not said it, and nobody says it again. */
    public function hand(int $channel, int $number, int $epoch): bool
    {
        return $this->connection->update(
            "UPDATE outgoing JOIN channels ON channels.id = outgoing.channel_id SET outgoing.state = 'handed', outgoing.handed_at = UTC_TIMESTAMP(3)
             WHERE outgoing.id = ? AND outgoing.channel_id = ? AND outgoing.state = 'queued' AND channels.lease_epoch = ?",
            [$number, $channel, $epoch],
        ) === 1;
    }
}
