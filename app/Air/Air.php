<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Socket\ServerSocket;
use App\Air\Streams\Streams;
use App\Models\Channel;
use App\Publish\Editions;
use App\Storage\MariaDbStandings;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use Revolt\EventLoop;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Wire\Inbound;
use SilverParrot\Chat\Wire\IrcLine;
use SilverParrot\Chat\Wire\PersonTags;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\Talker;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;
use Throwable;

use function Amp\async;

/** The long-running talker: one process for all channels whose lease it holds. */
final class Air
{
    private const HEARTBEAT = 1.0;

    private const LOG_EVERY = 0.25;

    private const DETAILS_EVERY = 10.0;

    private const PING_EVERY = 30.0;

    private const STREAMS_EVERY = 15.0;

    private const FORGET_EVERY = 60.0;

    /** Of the memory that the process may have, in hundredths: beyond it the talker ends in order, and another begins. */
    private const MEMORY_USED = 80;

    /** @var array<int, ChannelOnAir> by the channel's number */
    private array $channels = [];

    private readonly Chats $chats;

    private readonly Lease $lease;

    private readonly Outgoing $outgoing;

    private readonly Log $log;

    private readonly Streams $streams;

    private readonly Inbox $inbox;

    private readonly Speaker $speaker;

    private readonly StreamWatch $watch;

    private readonly Containment $containment;

    private readonly Talker $talker;

    private int $heard = 0;

    public function __construct(private readonly Connection $connection, private readonly Editions $editions, private readonly AirSettings $settings)
    {
        $this->lease = new Lease($connection, gethostname().'/'.getmypid().'/'.bin2hex(random_bytes(4)));
        $this->outgoing = new Outgoing($connection);
        $this->log = new Log($connection);
        $this->streams = new Streams($connection, $settings->key, $settings->proxies);
        $this->chats = new Chats($this->hear(...), $settings->authorities);
        $this->inbox = new Inbox($this->heardIn(...));
        $this->speaker = new Speaker($this->outgoing);
        $this->watch = new StreamWatch($connection);
        $this->containment = new Containment($connection);
        $this->talker = new Talker;
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
        EventLoop::repeat(self::PING_EVERY, fn () => $this->chats->ping());
        EventLoop::repeat(self::FORGET_EVERY, function (): void {
            $this->ofEach(function (ChannelOnAir $channel): void {
                $this->outgoing->forgetOld($channel->id);
                $this->log->forgetOld($channel->id);
            });
            $this->tellTurnedAway();
        });
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
        foreach ($this->channels as $channel) {
            $this->containment->of($channel, static fn () => $do($channel));
        }
    }

    /** Keeps what it holds, takes what is free, follows what was published, tallies who was seen. */
    private function beat(): void
    {
        $this->endBeforeMemoryDoes();
        $this->ofEach($this->renew(...));
        $this->followAll();
        $this->ofEach(function (ChannelOnAir $channel): void {
            Tallies::keep($channel, $this->store($channel));
            $this->speaker->speak($channel);
        });
        $this->containment->alone(fn () => $this->streams->closeStrangers());
    }

    private function renew(ChannelOnAir $channel): void
    {
        $channel->countDropped();
        if (! $this->lease->renew($channel->id, $channel->epoch, $channel->standing(), $channel->chat?->knowsPeople() ?? true, $channel->troubles)) {
            unset($this->channels[$channel->id]);
        }
    }

    private function followAll(): void
    {
        /** @var iterable<Channel> $rows */
        $rows = $this->containment->alone(static fn () => Channel::query()->whereNotNull('edition_on_air')->orderBy('id')->get()) ?? [];
        foreach ($rows as $row) {
            if (! isset($this->channels[$row->id])) {
                $this->containment->alone(fn () => $this->take($row), $row->id);
            }
            if (isset($this->channels[$row->id])) {
                $this->containment->of($this->channels[$row->id], fn () => $this->follow($this->channels[$row->id], $row));
            }
        }
        $this->chats->serve($this->channels);
    }

    private function take(Channel $row): void
    {
        $epoch = $this->lease->take($row->id);
        if ($epoch !== null) {
            $store = new MariaDbStore($this->connection, $row->id, $epoch);
            $this->channels[$row->id] = $channel = new ChannelOnAir($row->id, $row->login, $epoch, $row->seed, new Driver($this->talker, $store), new KnownDetails($this->settings->details, $row->login), $this->tell(...), $row->profile(), new MariaDbStandings($this->connection, $row->id));
            $channel->hadSaid($this->outgoing->agesOfHanded($row->id, $channel->profile->windowSeconds));
            $this->lookAtStream($channel);
        }
    }

    private function follow(ChannelOnAir $channel, Channel $row): void
    {
        $stamp = json_encode([$row->edition_on_air, $row->silenced, $row->paused, $row->chat_server, hash('sha256', (string) $row->chat_secret)], JSON_THROW_ON_ERROR);
        if ($channel->stamp !== $stamp) {
            $channel->address = $this->settings->addressOf($row);
            // Whatever its account is called in the pack, what it says itself sets nothing off.
            $channel->pack = $this->editions->onAir($row)?->withTalker($channel->address->nick);
            $channel->edition = (int) $row->edition_on_air;
            $channel->paused = $row->paused;
            $channel->profile = $row->profile();
            $channel->stamp = $stamp;
        }
    }

    private function hear(IrcLine $line, ChatConnection $chat): void
    {
        $room = ltrim(strtolower($line->param(0)), '#');
        foreach ($this->channels as $channel) {
            if ($channel->chat === $chat && $channel->address?->room === $room) {
                $this->containment->of($channel, function () use ($channel, $line, $chat, $room): void {
                    $line->command === 'PRIVMSG' ? $this->inbox->add($channel, $this->lineOf($line, $chat, $channel->address, $room)) : $this->noted($channel, $line);
                });
            }
        }
    }

    private function heardIn(ChannelOnAir $channel, ChatLine $line): void
    {
        $this->containment->of($channel, function () use ($channel, $line): void {
            $mine = $channel->hear($line);
            if ($mine === false && ($this->channels[$channel->id] ?? null) === $channel) {
                unset($this->channels[$channel->id]);
            } elseif ($mine === true) {
                $this->speaker->speak($channel);
            }
        });
    }

    private function noted(ChannelOnAir $channel, IrcLine $line): void
    {
        if (! str_contains($line->prefix, '!')) {
            $channel->log(HeardLine::NOTICE, '', Person::unknown(Inbound::text($line->nick(), Limits::NAME)), Inbound::text($line->param(1), Limits::LINE), Moment::of(now()));
        }
    }

    private function lineOf(IrcLine $line, ChatConnection $chat, ?ChatAddress $address, string $room): ChatLine
    {
        $nick = $line->nick();
        $levels = [
            ...($chat->room($room)?->isOperator($nick) === true ? [Level::Moderator] : []),
            ...($chat->room($room)?->hasVoice($nick) === true ? [Level::Vip] : []),
        ];

        return Inbound::line($line, $address->tags ?? PersonTags::none(), $chat->capabilities(), $levels, $chat->run.'-'.++$this->heard, Moment::of(now()));
    }

    private function tell(ChannelOnAir $channel, HeardLine $line): void
    {
        $this->streams->publish($channel->id, $line->number, $line->outcome === '' ? 'line' : 'outcome', $line->told($channel->zone()));
    }

    private function writeLog(ChannelOnAir $channel): void
    {
        if ($channel->unwritten !== []) {
            [$lines, $channel->unwritten] = [$channel->unwritten, []];
            $this->log->keep($channel->id, $lines);
        }
    }

    private function lookAtStream(ChannelOnAir $channel): void
    {
        async(fn () => $this->containment->of($channel, fn () => $this->watch->look($channel, fn (): bool => ($this->channels[$channel->id] ?? null) === $channel)));
    }

    private function tellTurnedAway(): void
    {
        $turnedAway = $this->streams->turnedAway();
        if ($turnedAway > 0) {
            fwrite(STDERR, "$turnedAway connections to the port of streams were turned away in the last minute: there was no room for them, or too many from one address.\n");
        }
    }

    private function endBeforeMemoryDoes(): void
    {
        $limit = ini_parse_quantity((string) ini_get('memory_limit'));
        if ($limit > 0 && memory_get_usage() > $limit / 100 * self::MEMORY_USED) {
            fwrite(STDERR, 'The talker has used '.intdiv(memory_get_usage(), 1_048_576)." MB and ends in order; another one begins.\n");
            $this->end();
        }
    }

    private function end(): void
    {
        $this->ofEach(function (ChannelOnAir $channel): void {
            Tallies::keep($channel, $this->store($channel));
            $this->writeLog($channel);
            $this->lease->leave($channel->id, $channel->epoch);
        });
        $this->channels = [];
        $this->chats->end();
        // What is queued for the chats goes out first.
        EventLoop::delay(0.1, static fn () => EventLoop::getDriver()->stop());
    }

    private function store(ChannelOnAir $channel): MariaDbStore
    {
        return new MariaDbStore($this->connection, $channel->id, $channel->epoch);
    }
}
