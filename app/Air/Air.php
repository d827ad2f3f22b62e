<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Socket\ServerSocket;
use Amp\TimeoutCancellation;
use App\Air\Streams\Streams;
use App\Models\Channel;
use App\Publish\Editions;
use App\Storage\MariaDbStandings;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Revolt\EventLoop;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Wire\IrcLine;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\Talker;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Outbox\Pace;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

use function Amp\async;

/** The long-running talker: one process for all channels whose lease it holds. */
final class Air
{
    private const HEARTBEAT = 1.0;

    private const LOG_EVERY = 0.25;

    private const DETAILS_EVERY = 10.0;

    private const DETAILS_WITHIN = 3.0;

    private const PING_EVERY = 30.0;

    private const STREAMS_EVERY = 15.0;

    private const FORGET_EVERY = 60.0;

    /** @var array<int, ChannelOnAir> by the channel's number */
    private array $channels = [];

    /** @var array<string, ChatConnection> by what tells connections apart */
    private array $chats = [];

    private readonly Lease $lease;

    private readonly Outgoing $outgoing;

    private readonly Log $log;

    private readonly Streams $streams;

    private readonly Talker $talker;

    private int $heard = 0;

    public function __construct(private readonly Connection $connection, private readonly Editions $editions, private readonly AirSettings $settings)
    {
        $this->lease = new Lease($connection, gethostname().'/'.getmypid().'/'.bin2hex(random_bytes(4)));
        $this->outgoing = new Outgoing($connection);
        $this->log = new Log($connection);
        $this->streams = new Streams($connection, $settings->key);
        $this->talker = new Talker;
    }

    public function run(?ServerSocket $streams): void
    {
        if ($streams !== null) {
            async(fn () => $this->streams->serve($streams));
        }
        EventLoop::repeat(self::HEARTBEAT, fn () => $this->beat());
        EventLoop::repeat(self::LOG_EVERY, function (): void {
            foreach ($this->channels as $channel) {
                $this->writeLog($channel);
            }
        });
        EventLoop::repeat(self::DETAILS_EVERY, fn () => $this->lookAtStreams());
        EventLoop::repeat(self::STREAMS_EVERY, fn () => $this->streams->beat());
        EventLoop::repeat(self::PING_EVERY, function (): void {
            foreach ($this->chats as $chat) {
                $chat->ping();
            }
        });
        EventLoop::repeat(self::FORGET_EVERY, function (): void {
            foreach ($this->channels as $channel) {
                $this->outgoing->forgetOld($channel->id);
                $this->log->forgetOld($channel->id);
            }
        });
        foreach ([SIGTERM, SIGINT] as $signal) {
            EventLoop::onSignal($signal, fn () => $this->end());
        }
        EventLoop::setErrorHandler(self::giveUp(...));
        try {
            $this->beat();
        } catch (QueryException $lost) {
            self::giveUp($lost);
        }
        EventLoop::run();
    }

    /** Whoever watches starts a talker that begins anew. What people wrote stands in queries, and stays out of logs. */
    private static function giveUp(\Throwable $thrown): never
    {
        for ($cause = $thrown; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof QueryException) {
                $code = $cause->errorInfo[1] ?? null;
                fwrite(STDERR, sprintf("The database does not answer (%s); the talker ends.\n", is_int($code) ? $code : $cause->getCode()));
                exit(1);
            }
        }
        report($thrown);
        exit(1);
    }

    /** Keeps what it holds, takes what is free, follows what was published, tallies who was seen. */
    private function beat(): void
    {
        foreach ($this->channels as $channel) {
            if (! $this->lease->renew($channel->id, $channel->epoch, $channel->standing(), $channel->chat?->knowsPeople() ?? true)) {
                unset($this->channels[$channel->id]);
            }
        }
        /** @var Channel $row */
        foreach (Channel::query()->whereNotNull('edition_on_air')->orderBy('id')->get() as $row) {
            if (! isset($this->channels[$row->id])) {
                $this->take($row);
            }
            if (isset($this->channels[$row->id])) {
                $this->follow($this->channels[$row->id], $row);
            }
        }
        $this->connect();
        foreach ($this->channels as $channel) {
            Tallies::keep($channel, $this->store($channel));
            $this->speak($channel);
        }
        $this->streams->closeStrangers();
    }

    private function take(Channel $row): void
    {
        $epoch = $this->lease->take($row->id);
        if ($epoch !== null) {
            $store = new MariaDbStore($this->connection, $row->id, $epoch);
            $this->channels[$row->id] = $channel = new ChannelOnAir($row->id, $row->login, $epoch, $row->seed, new Driver($this->talker, $store), new KnownDetails($this->settings->details, $row->login), $this->tell(...), $row->profile(), new MariaDbStandings($this->connection, $row->id));
            $channel->said = $this->outgoing->handedWithin($row->id, $channel->profile->windowSeconds);
            async(fn () => $this->lookAtStream($channel));
        }
    }

    private function follow(ChannelOnAir $channel, Channel $row): void
    {
        $stamp = json_encode([$row->edition_on_air, $row->silenced, $row->paused, $row->chat_server, hash('sha256', (string) $row->chat_secret)], JSON_THROW_ON_ERROR);
        if ($channel->stamp !== $stamp) {
            $channel->pack = $this->editions->onAir($row);
            $channel->edition = (int) $row->edition_on_air;
            $channel->paused = $row->paused;
            $channel->profile = $row->profile();
            $channel->address = $this->settings->addressOf($row);
            $channel->stamp = $stamp;
        }
    }

    /** One connection for all channels that have the same chat server and name there; those that nobody needs are ended. */
    private function connect(): void
    {
        $rooms = [];
        foreach ($this->channels as $channel) {
            if ($channel->address === null) {
                continue;
            }
            $key = $channel->address->connection();
            if (! isset($this->chats[$key])) {
                $this->chats[$key] = $chat = new ChatConnection($channel->address, $this->hear(...), $this->settings->authorities);
                async(static fn () => $chat->stay());
            }
            $channel->chat = $this->chats[$key];
            $rooms[$key][] = $channel->address->room;
        }
        foreach ($this->chats as $key => $chat) {
            if (isset($rooms[$key])) {
                $chat->beIn($rooms[$key]);
            } elseif ($this->channels !== []) {
                $chat->end();
                unset($this->chats[$key]);
            }
        }
    }

    private function hear(IrcLine $line, ChatConnection $chat): void
    {
        $room = ltrim(strtolower($line->param(0)), '#');
        foreach ($this->channels as $channel) {
            if ($channel->chat === $chat && $channel->address?->room === $room) {
                $line->command === 'PRIVMSG' ? $this->heardIn($channel, $this->lineOf($line, $chat, $room)) : $this->noted($channel, $line);
            }
        }
    }

    private function heardIn(ChannelOnAir $channel, ChatLine $line): void
    {
        // In a fiber of its own: one that waits for the outside holds up nobody else.
        async(function () use ($channel, $line): void {
            try {
                $mine = $channel->hear($line);
            } catch (QueryException $lost) {
                // Without memory nothing can be heard: whoever watches starts a talker that finds it again.
                throw $lost;
            } catch (\Throwable $broken) {
                // One line that cannot be heard must not silence the others.
                report($broken);

                return;
            }
            if ($mine === false && ($this->channels[$channel->id] ?? null) === $channel) {
                unset($this->channels[$channel->id]);
            } elseif ($mine === true) {
                $this->speak($channel);
            }
        });
    }

    private function noted(ChannelOnAir $channel, IrcLine $line): void
    {
        if (! str_contains($line->prefix, '!')) {
            $channel->log(HeardLine::NOTICE, '', Person::unknown($line->nick()), mb_scrub($line->param(1)), Moment::of(now()));
        }
    }

    private function lineOf(IrcLine $line, ChatConnection $chat, string $room): ChatLine
    {
        $nick = $line->nick();
        $account = $line->tags['account'] ?? '';
        $login = Fold::caseless($account === '' ? $nick : $account);
        $levels = [
            ...($chat->room($room)?->isOperator($nick) === true ? [Level::Moderator] : []),
            ...($chat->room($room)?->hasVoice($nick) === true ? [Level::Vip] : []),
        ];
        $name = '';
        foreach ($line->tags as $tag => $value) {
            if (str_ends_with($tag, '/levels')) {
                array_push($levels, ...array_filter(array_map(Level::named(...), explode(',', $value))));
            } elseif (str_ends_with($tag, '/name')) {
                $name = $value;
            }
        }
        $at = isset($line->tags['time']) ? Moment::fromIso($line->tags['time']) : null;

        return new ChatLine(
            $line->tags['msgid'] ?? $chat->run.'-'.++$this->heard,
            // Whoever has an account is another than who only took its name.
            Person::known(($account === '' ? 'nick:' : 'account:').$login, $login, $name === '' ? $nick : $name, Levels::of(...$levels)),
            mb_scrub($line->param(1)),
            $at ?? Moment::of(now()),
        );
    }

    /** Says what is queued, as far as the chat takes it. Each is marked before it goes out, so that it never goes out twice. */
    private function speak(ChannelOnAir $channel): void
    {
        [$standing, $chat, $address] = [$channel->standing(), $channel->chat, $channel->address];
        if ($address === null || $chat === null || ! $chat->isWelcome() || ($standing !== Standing::Connected && $standing !== Standing::Moderator)) {
            return;
        }
        $queued = $this->outgoing->queued($channel->id);
        if ($queued === []) {
            return;
        }
        $now = Moment::of(now());
        $profile = $channel->profile;
        $pace = Pace::of($queued, $channel->said, $now, $standing === Standing::Moderator ? $profile->oftenForModerators : $profile->often, $profile->windowSeconds);
        foreach ($pace->dropped as $number) {
            $this->outgoing->giveUp($channel->id, $number, 'dropped');
            $channel->logSaying(HeardLine::DROPPED, $queued[$number], $now);
        }
        foreach ($pace->now as $number) {
            if ($this->outgoing->hand($channel->id, $number, $channel->epoch)) {
                $saying = $queued[$number];
                $chat->say($saying->place === Place::Whisper ? $saying->to : "#{$address->room}", $saying->text, $saying->place === Place::Reply ? $saying->answerTo : '');
                $channel->said = [...array_slice($channel->said, -$profile->oftenForModerators), $now];
                $channel->logSaying(HeardLine::SAID, $saying, $now);
            }
        }
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

    private function lookAtStreams(): void
    {
        foreach ($this->channels as $channel) {
            async(fn () => $this->lookAtStream($channel));
        }
    }

    /** Whether the stream runs: what is counted for each stream begins anew with the next one. */
    private function lookAtStream(ChannelOnAir $channel): void
    {
        $details = $channel->details->lookAtChannel(new TimeoutCancellation(self::DETAILS_WITHIN));
        $isLive = is_bool($details['live'] ?? null) ? $details['live'] : null;
        $this->keepDetails($channel, $details);
        $now = Moment::of(now());
        $look = static fn (View $memory): Tally => new Tally(array_filter([RunningStream::look($memory->value(Key::stream()), $isLive, $now)]));
        $store = $this->store($channel);
        if (($this->channels[$channel->id] ?? null) === $channel && $look($store->snapshot(Reads::of(Key::stream())))->changesToKeep() !== []) {
            $store->turn("stream {$channel->epoch} {$now->millis}", Reads::of(Key::stream()), $look);
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
            $this->connection->update('UPDATE channels SET details = ? WHERE id = ? AND lease_epoch = ?', [json_encode($details, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), $channel->id, $channel->epoch]);
        }
    }

    private function end(): void
    {
        foreach ($this->channels as $channel) {
            Tallies::keep($channel, $this->store($channel));
            $this->writeLog($channel);
            $this->lease->leave($channel->id, $channel->epoch);
        }
        foreach ($this->chats as $chat) {
            $chat->end();
        }
        EventLoop::getDriver()->stop();
    }

    private function store(ChannelOnAir $channel): MariaDbStore
    {
        return new MariaDbStore($this->connection, $channel->id, $channel->epoch);
    }
}
