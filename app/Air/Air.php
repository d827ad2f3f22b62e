<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Socket\ServerSocket;
use App\Air\Streams\Streams;
use App\Publish\Editions;
use App\Publish\FromChat\CarryOut;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use Revolt\EventLoop;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\RankReached;
use SilverParrot\Hearing\Timers\TimerDue;
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

    private const TIMERS_EVERY = 1.0;

    private const PING_EVERY = 30.0;

    /** Seconds; it is asked ahead by the minute. */
    private const AHEAD_EVERY = 15.0;

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

    private readonly WhoIsHere $here;

    private readonly ServiceEffects $service;

    private readonly TimeHere $time;

    private readonly AskedAhead $ahead;

    public function __construct(
        private readonly Connection $connection,
        Editions $editions,
        AirSettings $settings,
        Wording $wording,
        private readonly CarryOut $effects,
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
        $this->here = new WhoIsHere($connection);
        $this->service = new ServiceEffects($connection, $settings->service);
        $this->time = new TimeHere($connection);
        $this->ahead = new AskedAhead;
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
        EventLoop::repeat(self::TIMERS_EVERY, fn () => $this->ofEach($this->lookAtTimers(...)));
        EventLoop::repeat(self::AHEAD_EVERY, fn () => $this->ofEach($this->askAhead(...)));
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
        $this->ofEach($this->carryOut(...));
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
        $this->containment->of($channel, fn () => $this->answer($channel, $channel->hear($line)));
        $this->containment->of($channel, fn () => $this->carryOut($channel));
    }

    /** What a turn has kept to be done after it, and the answers to it. */
    private function carryOut(ChannelOnAir $channel): void
    {
        if (! $channel->owes || ! $this->onAir->has($channel)) {
            return;
        }
        $channel->owes = false;
        foreach ($this->effects->waitingIn($channel->id, $channel->epoch) as $number => $event) {
            // The next line finds what was changed, though the next beat would only then.
            $this->holding->reread($channel);
            $sayings = $channel->happens($event);
            $this->answer($channel, $sayings);
            if ($sayings !== null) {
                CarryOut::told($channel->id, $number);
            }
        }
        $this->askService($channel);
    }

    /** Other lines go on meanwhile; what came of it is told as soon as it is known. */
    private function askService(ChannelOnAir $channel): void
    {
        async(function () use ($channel): void {
            $isKnown = $this->containment->of($channel, fn (): bool => $this->service->next($channel));
            // What failed is tried again with the next beat.
            $channel->owes = $channel->owes || $isKnown !== false;
            if ($isKnown === true) {
                $this->containment->of($channel, fn () => $this->carryOut($channel));
            }
        });
    }

    /** @param  list<Saying>|null  $sayings  null where the channel is not ours any more */
    private function answer(ChannelOnAir $channel, ?array $sayings): void
    {
        if ($sayings === null && $this->onAir->has($channel)) {
            $this->onAir->remove($channel->id);
        } elseif ($sayings !== null && $sayings !== []) {
            $this->speaker->answer($channel, $sayings);
        }
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
        $now = Moment::of(now());
        $here = fn (): array => $this->here->of($channel, $now);
        // The screens go by the list too, whether or not anything is earned.
        $here();
        $this->time->count($channel, $now);
        $channel->regulars->read();
        $channel->regulars->earn($channel, $this->store($channel), $now);
        Earnings::give(
            $channel,
            $this->store($channel),
            $now,
            $here,
            fn (RankReached $event) => $this->answer($channel, $channel->happens($event)),
        );
    }

    /** What is due while the chat is away waits for it, and does not count as said. */
    private function lookAtTimers(ChannelOnAir $channel): void
    {
        if (! Speaker::canSay($channel)) {
            return;
        }
        Timers::look(
            $channel,
            $this->store($channel),
            Moment::of(now()),
            fn (TimerDue $event) => $this->answer($channel, $channel->happens($event)),
        );
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

    private function askAhead(ChannelOnAir $channel): void
    {
        async(fn () => $this->containment->of($channel, fn () => $this->ahead->look($channel)));
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
