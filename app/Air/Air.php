<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Socket\ServerSocket;
use App\Air\Streams\Streams;
use App\Publish\Editions;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use Revolt\EventLoop;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;
use Throwable;

use function Amp\async;

/**
 * The long-running talker: one process for all channels whose lease it holds. Here is when what is done; how, each part
 * knows.
 */
final class Air
{
    private const HEARTBEAT = 1.0;

    private const LOG_EVERY = 0.25;

    private const DETAILS_EVERY = 10.0;

    /** Seconds; what is earned by the minute is given a little later. */
    private const EARN_EVERY = 15.0;

    private const PING_EVERY = 30.0;

    private const STREAMS_EVERY = 15.0;

    private const TELL_EVERY = 60.0;

    /**
     * Of the memory that the process may have, in hundredths: beyond it the talker ends in order, and another begins.
     */
    private const MEMORY_USED = 80;

    private readonly OnAirNow $onAir;

    private readonly Holding $holding;

    private readonly Intake $intake;

    private readonly Chats $chats;

    private readonly OutgoingQueue $outgoing;

    private readonly Log $log;

    private readonly Streams $streams;

    private readonly Speaker $speaker;

    private readonly StreamWatch $watch;

    private readonly Containment $containment;

    public function __construct(
        private readonly Connection $connection,
        Editions $editions,
        AirSettings $settings,
        Wording $wording,
    ) {
        $lease = new Lease($connection, gethostname().'/'.getmypid().'/'.bin2hex(random_bytes(4)));
        $this->onAir = new OnAirNow;
        $this->outgoing = new OutgoingQueue($connection);
        $this->log = new Log($connection);
        $this->streams = new Streams($connection, $settings->key, $settings->proxies);
        $this->containment = new Containment($connection);
        $this->intake = new Intake($this->onAir, new Inbox($this->heardIn(...)), $this->containment);
        $this->chats = new Chats($this->intake->hear(...), $settings->authorities);
        $this->speaker = new Speaker($this->outgoing);
        $this->watch = new StreamWatch($connection);
        $this->holding = new Holding(
            $connection,
            $editions,
            $settings,
            $lease,
            $this->outgoing,
            $this->speaker,
            $this->containment,
            $this->onAir,
            $this->tell(...),
            $wording,
        );
    }

    public function run(?ServerSocket $streams): void
    {
        if ($streams !== null) {
            async(fn () => $this->streams->serve($streams));
        }
        EventLoop::repeat(self::HEARTBEAT, fn () => $this->beat());
        EventLoop::repeat(self::LOG_EVERY, fn () => $this->ofEach($this->writeLog(...)));
        EventLoop::repeat(self::DETAILS_EVERY, fn () => $this->ofEach($this->lookAtStream(...)));
        EventLoop::repeat(self::STREAMS_EVERY, fn () => $this->streams->beat());
        EventLoop::repeat(self::EARN_EVERY, fn () => $this->ofEach($this->giveEarned(...)));
        EventLoop::repeat(self::PING_EVERY, fn () => $this->chats->ping());
        EventLoop::repeat(self::TELL_EVERY, fn () => $this->tellTurnedAway());
        foreach ([SIGTERM, SIGINT] as $signal) {
            EventLoop::onSignal($signal, fn () => $this->end());
        }
        EventLoop::setErrorHandler(self::giveUp(...));
        try {
            $this->beat();
        } catch (Throwable $lost) {
            self::giveUp($lost);
        }
        EventLoop::run();
    }

    /** Whoever watches starts a talker that begins anew. What people wrote stands in queries, and stays out of logs. */
    private static function giveUp(Throwable $thrown): never
    {
        if ($thrown instanceof DatabaseGone) {
            fwrite(STDERR, $thrown->getMessage()."\n");
        } else {
            report($thrown);
        }
        exit(1);
    }

    /**
     * An error that one of them causes is that one's own.
     *
     * @param  callable(ChannelOnAir): mixed  $do
     */
    private function ofEach(callable $do): void
    {
        foreach ($this->onAir->all() as $channel) {
            $this->containment->of($channel, static fn () => $do($channel));
        }
    }

    /**
     * Keeps what it holds, takes what is free, follows what was published, tallies who was seen, says what is queued.
     */
    private function beat(): void
    {
        $this->endBeforeMemoryDoes();
        $this->holding->renew();
        array_map($this->lookAtStream(...), $this->holding->followAll());
        $this->chats->serve($this->onAir->all());
        $this->onAir->seatAll();
        $this->ofEach(fn (ChannelOnAir $channel) => Tallies::keep($channel, $this->store($channel)));
        $waiting = $this->containment->alone(fn (): array => $this->outgoing->waiting(array_keys($this->onAir->all())));
        $this->ofEach(function (ChannelOnAir $channel) use ($waiting): void {
            $channel->isBehind = $waiting === null || in_array($channel->id, $waiting, true);
            if ($channel->isBehind) {
                $this->speaker->speak($channel);
            }
        });
        $this->containment->alone(fn () => $this->streams->closeUnauthorised());
    }

    private function heardIn(ChannelOnAir $channel, ChatLine $line): void
    {
        $this->containment->of($channel, function () use ($channel, $line): void {
            $sayings = $channel->hear($line);
            if ($sayings === null && $this->onAir->has($channel)) {
                $this->onAir->remove($channel->id);
            } elseif ($sayings !== null && $sayings !== []) {
                $this->speaker->answer($channel, $sayings);
            }
        });
    }

    private function tell(ChannelOnAir $channel, LogEntry $line): void
    {
        $this->streams->publish(
            $channel->id,
            $line->number,
            $line->outcome === '' ? 'line' : 'outcome',
            $line->told($channel->zone()),
        );
    }

    private function writeLog(ChannelOnAir $channel): void
    {
        if ($channel->unwritten !== []) {
            [$lines, $channel->unwritten] = [$channel->unwritten, []];
            $this->log->keep($channel->id, $lines);
        }
    }

    private function giveEarned(ChannelOnAir $channel): void
    {
        Earnings::give($channel, $this->store($channel), Moment::of(now()));
    }

    private function lookAtStream(ChannelOnAir $channel): void
    {
        async(
            fn () => $this->containment->of(
                $channel,
                fn () => $this->watch->look($channel, fn (): bool => $this->onAir->has($channel)),
            ),
        );
    }

    private function tellTurnedAway(): void
    {
        $turnedAway = $this->streams->turnedAway();
        if ($turnedAway > 0) {
            fwrite(
                STDERR,
                "$turnedAway connections to the port of streams were turned away in the last minute: there was no "
                    ."room for them, or too many from one address.\n",
            );
        }
    }

    private function endBeforeMemoryDoes(): void
    {
        $limit = ini_parse_quantity((string) ini_get('memory_limit'));
        if ($limit > 0 && memory_get_usage() > ($limit / 100) * self::MEMORY_USED) {
            fwrite(
                STDERR,
                'The talker has used '
                    .intdiv(memory_get_usage(), 1_048_576)
                    ." MB and ends in order; another one begins.\n",
            );
            $this->end();
        }
    }

    private function end(): void
    {
        $this->ofEach(function (ChannelOnAir $channel): void {
            Tallies::keep($channel, $this->store($channel));
            $this->writeLog($channel);
            $this->holding->leave($channel);
        });
        $this->onAir->clear();
        $this->chats->end();
        // What is queued for the chats goes out first.
        EventLoop::delay(0.1, static fn () => EventLoop::getDriver()->stop());
    }

    private function store(ChannelOnAir $channel): MariaDbStore
    {
        return new MariaDbStore($this->connection, $channel->id, $channel->epoch);
    }
}
