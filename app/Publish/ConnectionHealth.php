<?php

declare(strict_types=1);

namespace App\Publish;

use App\Air\ConnectionState;
use App\Models\Channel;
use App\Wording\Sentences;
use Illuminate\Database\Connection;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;

/** How the parrot stands in a channel's chat: what is told there, the most important first. */
final readonly class ConnectionHealth
{
    /** A saying that waits longer than this is held up. */
    private const BEHIND_SECONDS = 3;

    /** The talker's heart beats each second; a few missed ones are a restart, more are trouble. */
    private const MISSED_SECONDS = 10;

    public function __construct(private Connection $connection, private Sentences $sentences)
    {
    }

    /** In plain words. */
    public function inWords(Channel $channel): string
    {
        return implode(' ', array_map($this->sentences->of(...), $this->of($channel)));
    }

    /** @return non-empty-list<Message> */
    public function of(Channel $channel): array
    {
        if ($channel->edition_on_air === null) {
            return [new Message('connection.nothing-published')];
        }
        $since = now()->subSeconds(self::MISSED_SECONDS);
        if ($channel->air_seen_at?->between($since, now()->addSeconds(self::MISSED_SECONDS)) !== true) {
            return [new Message('connection.no-talker')];
        }
        $isThere = in_array($channel->air_state, [ConnectionState::Connected, ConnectionState::Moderator], true);
        $waiting = $isThere ? $this->waiting($channel) : 0;

        return [
            new Message("connection.state.{$channel->air_state->value}"),
            ...($waiting > 0 ? [new Message('connection.behind', ['count' => $waiting])] : []),
            ...self::troubles($channel),
            ...($isThere && ! $channel->air_knows_people ? [new Message('connection.known-by-name')] : []),
        ];
    }

    /** @return list<Message> */
    private static function troubles(Channel $channel): array
    {
        $troubles = $channel->air_troubles ?? ['failed' => 0, 'failed_at' => '', 'dropped' => 0];
        $at = Moment::fromIso($troubles['failed_at'])?->in(new \DateTimeZone($channel->zone))->format('H:i');
        [$failed, $dropped] = [$troubles['failed'], $troubles['dropped']];

        return [
            ...($dropped === 0 ? [] : [new Message('connection.dropped', [
                'count' => $dropped, 'number' => number_format($dropped),
            ])]),
            ...($failed === 0 ? [] : [new Message('connection.failed', [
                'count' => $failed,
                'number' => number_format($failed),
                'time' => $at ?? new Message('connection.time-unknown'),
            ])]),
        ];
    }

    /** Sayings that are queued for longer than it takes to say them. */
    private function waiting(Channel $channel): int
    {
        return $this->connection
            ->table('outgoing')
            ->where('channel_id', $channel->id)
            ->where('state', 'queued')
            ->where('queued_at', '<', now('UTC')->subSeconds(self::BEHIND_SECONDS))
            ->count();
    }
}
