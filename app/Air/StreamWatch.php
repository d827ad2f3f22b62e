<?php

declare(strict_types=1);

namespace App\Air;

use Amp\TimeoutCancellation;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use SilverParrot\Hearing\StreamBegan;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Pack\NotedNumbers;
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
        $pack = $channel->pack;
        $began = '';
        $look = static function (View $memory) use ($isLive, $now, $pack, $details, &$began): Tally {
            $kept = $memory->value(Key::stream());
            $change = RunningStream::look($kept, $isLive, $now);
            $isNew = $change !== null && RunningStream::period($change->to) !== RunningStream::period($kept);
            $began = $isNew ? RunningStream::period($change->to) : '';
            $day = $pack === null ? '' : $now->in($pack->channel->zone)->format('Y-m-d');

            // What numbers are when a stream begins is what they are counted from until the next.
            return new Tally([
                ...$change === null ? [] : [$change],
                ...$isNew && $pack !== null
                    ? NotedNumbers::note($pack, $details ?? [], $memory, $change->to, $day)
                    : [],
            ]);
        };
        $store = new MariaDbStore($this->connection, $channel->id, $channel->epoch);
        $reads = Reads::of(Key::stream());
        if (RunningStream::look($store->snapshot($reads)->value(Key::stream()), $isLive, $now) !== null) {
            $store->turn(EventKey::none(), $pack === null ? $reads : $reads->and(NotedNumbers::reads($pack)), $look);
        }
        if ($began !== '') {
            // What sources say of it is asked for now; nobody waits for it.
            $channel->happens(new StreamBegan($began, $now));
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
