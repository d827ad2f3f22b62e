<?php

declare(strict_types=1);

namespace App\Air;

use App\Models\Channel;
use App\Publish\Editions;
use App\Storage\MariaDbQuotes;
use App\Storage\MariaDbRanking;
use App\Storage\MariaDbStore;
use App\Web\WebLookups;
use Closure;
use Illuminate\Database\Connection;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Source\Wording;

/**
 * Keeps the leases that this talker holds, takes what is free, and follows what was published, paused or pointed
 * elsewhere.
 */
final readonly class Holding
{
    private EventHandler $handler;

    /** @param  Closure(ChannelOnAir, LogEntry): void  $tell  whoever reads along */
    public function __construct(
        private Connection $connection,
        private Editions $editions,
        private AirSettings $settings,
        private Lease $lease,
        private OutgoingQueue $outgoing,
        private Speaker $speaker,
        private Containment $containment,
        private OnAirNow $onAir,
        private Closure $tell,
        private Wording $wording,
    ) {
        $this->handler = new EventHandler;
    }

    public function renew(): void
    {
        foreach ($this->onAir->all() as $channel) {
            $channel->countDropped();
        }
        foreach ($this->containment->alone(fn (): array => $this->lease->renew($this->onAir->all())) ?? [] as $lost) {
            $this->onAir->remove($lost);
        }
    }

    /** @return list<ChannelOnAir> those that were taken now */
    public function followAll(): array
    {
        $taken = [];
        /** @var iterable<Channel> $rows */
        $rows =
            $this->containment->alone(
                static fn () => Channel::query()->whereNotNull('edition_on_air')->orderBy('id')->get(),
            ) ?? [];
        foreach ($rows as $row) {
            if ($this->onAir->get($row->id) === null) {
                $new = $this->containment->alone(fn (): ?ChannelOnAir => $this->take($row), $row->id);
                $taken = $new === null ? $taken : [...$taken, $new];
            }
            $channel = $this->onAir->get($row->id);
            if ($channel !== null) {
                $this->containment->of($channel, fn () => $this->follow($channel, $row));
            }
        }

        return $taken;
    }

    public function leave(ChannelOnAir $channel): void
    {
        $this->lease->leave($channel->id, $channel->epoch);
    }

    private function take(Channel $row): ?ChannelOnAir
    {
        $epoch = $this->lease->take($row->id);
        if ($epoch === null) {
            return null;
        }
        $store = new MariaDbStore($this->connection, $row->id, $epoch, function (array $sayings) use ($row): bool {
            $channel = $this->onAir->get($row->id);

            return $channel !== null && $this->speaker->takes($channel, $sayings);
        });
        $channel = new ChannelOnAir(
            $row->id,
            $row->login,
            $epoch,
            $row->seed,
            new Driver($this->handler, $store),
            new CachedDetails($this->settings->details, $row->login),
            $this->tell,
            $row->profile(),
            new SearchedReadings(
                new MariaDbQuotes($this->connection, $row->id),
                new MariaDbRanking($this->connection, $row->id),
            ),
            $this->wording,
            new RegularsNow($this->connection, $row->id),
            WebLookups::of($this->connection, $row->id, $this->settings->web, $this->settings->workers),
        );
        $channel->regulars->read();
        $channel->hadSaid($this->outgoing->agesOfHanded($row->id, $channel->profile->windowSeconds));
        $this->onAir->add($channel);

        return $channel;
    }

    /** What is on the air now, without waiting for the next beat. */
    public function reread(ChannelOnAir $channel): void
    {
        $row = Channel::query()->find($channel->id);
        if ($row !== null) {
            $this->follow($channel, $row);
        }
    }

    private function follow(ChannelOnAir $channel, Channel $row): void
    {
        $stamp = json_encode(
            [
                $row->edition_on_air,
                $row->silenced,
                $row->paused,
                $row->chat_server,
                hash('sha256', (string) $row->chat_secret),
            ],
            JSON_THROW_ON_ERROR,
        );
        if ($channel->stamp !== $stamp) {
            $channel->address = $this->settings->addressOf($row);
            $channel->isOfService = $row->chat_server === null;
            // Whatever its account is called in the pack, what it says itself sets nothing off.
            $channel->pack = $this->editions->onAir($row)?->withTalker($channel->address->nick);
            $channel->edition = (int) $row->edition_on_air;
            $channel->paused = $row->paused;
            $channel->profile = $row->profile();
            $channel->stamp = $stamp;
        }
    }
}
