<?php

declare(strict_types=1);

namespace App\Air;

use Amp\TimeoutCancellation;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;

/** Whether the stream runs: what is counted for each stream begins anew with the next one. */
final readonly class StreamWatch
{
    private const WITHIN_SECONDS = 3.0;

    public function __construct(private Connection $connection)
    {
    }

    /** @param  callable(): bool  $isStillOurs  asked once the service has answered */
    public function look(ChannelOnAir $channel, callable $isStillOurs): void
    {
        $details = $channel->details->lookAtChannel(new TimeoutCancellation(self::WITHIN_SECONDS));
        if (! $isStillOurs()) {
            return;
        }
        $isLive = is_bool($details['live'] ?? null) ? $details['live'] : null;
        $this->keepDetails($channel, $details);
        $now = Moment::of(now());
        $look = static fn (View $memory): Tally => new Tally(
            array_filter([RunningStream::look($memory->value(Key::stream()), $isLive, $now)]),
        );
        $store = new MariaDbStore($this->connection, $channel->id, $channel->epoch);
        if ($look($store->snapshot(Reads::of(Key::stream())))->changesToKeep() !== []) {
            $store->turn(EventKey::none(), Reads::of(Key::stream()), $look);
        }
    }

    /**
     * Rehearsals begin with what the service last said.
     *
     * @param  array<string, null|bool|int|string>|null  $details
     */
    private function keepDetails(ChannelOnAir $channel, ?array $details): void
    {
        if ($details !== null && $details !== [] && $details !== $channel->keptDetails) {
            $channel->keptDetails = $details;
            $this->connection->update('UPDATE channels SET details = ? WHERE id = ? AND lease_epoch = ?', [
                json_encode($details, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                $channel->id,
                $channel->epoch,
            ]);
        }
    }
}
