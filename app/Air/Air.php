<?php

declare(strict_types=1);

namespace App\Air;

use function Amp\async;

use App\Models\Channel;
use App\Publish\Editions;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use Revolt\EventLoop;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Wire\IrcLine;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\Talker;
use SilverParrot\Memory\Fenced;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** The long-running talker: one process for all channels whose lease it holds. */
final class Air
{
    private const HEARTBEAT = 1.0;

    private const DETAILS_EVERY = 10.0;

    private const PING_EVERY = 30.0;

    private const FORGET_EVERY = 60.0;

    /** @var array<string, ChannelOnAir> by login */
    private array $channels = [];

    private readonly Lease $lease;

    private readonly Outgoing $outgoing;

    private readonly ChatConnection $chat;

    private readonly Talker $talker;

    private int $heard = 0;

    public function __construct(private readonly Connection $connection, private readonly Editions $editions, string $chat, private readonly Details $details, string $nick)
    {
        $this->lease = new Lease($connection, gethostname().'/'.getmypid().'/'.bin2hex(random_bytes(4)));
        $this->outgoing = new Outgoing($connection);
        $this->chat = new ChatConnection($chat, $nick, $this->hear(...));
        $this->talker = new Talker;
    }

    public function run(): void
    {
        async(fn () => $this->chat->stay());
        EventLoop::repeat(self::HEARTBEAT, fn () => $this->beat());
        EventLoop::repeat(self::DETAILS_EVERY, fn () => $this->askDetails());
        EventLoop::repeat(self::PING_EVERY, fn () => $this->chat->ping());
        EventLoop::repeat(self::FORGET_EVERY, function (): void {
            foreach ($this->channels as $channel) {
                $this->outgoing->forgetOld($channel->id);
            }
        });
        foreach ([SIGTERM, SIGINT] as $signal) {
            EventLoop::onSignal($signal, fn () => $this->end());
        }
        $this->beat();
        EventLoop::run();
    }

    /** Keeps what it holds, takes what is free, follows what was published, tallies who was seen. */
    private function beat(): void
    {
        foreach ($this->channels as $login => $channel) {
            if (! $this->lease->renew($channel->id, $channel->epoch, $this->chat->stateIn($login))) {
                unset($this->channels[$login]);
            }
        }
        /** @var Channel $row */
        foreach (Channel::query()->whereNotNull('edition_on_air')->orderBy('id')->get() as $row) {
            if (! isset($this->channels[$row->login])) {
                $this->take($row);
            }
            if (isset($this->channels[$row->login])) {
                $this->follow($this->channels[$row->login], $row);
            }
        }
        $this->chat->beIn(array_map(strval(...), array_keys($this->channels)));
        foreach ($this->channels as $channel) {
            Tallies::keep($channel, $this->store($channel));
            $this->speak($channel);
        }
    }

    private function take(Channel $row): void
    {
        $epoch = $this->lease->take($row->id);
        if ($epoch !== null) {
            $store = new MariaDbStore($this->connection, $row->id, $epoch);
            $this->channels[$row->login] = $channel = new ChannelOnAir($row->id, $row->login, $epoch, $row->seed, new Driver($this->talker, $store));
            async(fn () => $this->askDetailsOf($channel));
        }
    }

    private function follow(ChannelOnAir $channel, Channel $row): void
    {
        $stamp = json_encode([$row->edition_on_air, $row->silenced, $row->paused], JSON_THROW_ON_ERROR);
        if ($channel->stamp !== $stamp) {
            $channel->pack = $this->editions->onAir($row);
            $channel->paused = $row->paused;
            $channel->stamp = $stamp;
        }
    }

    private function hear(IrcLine $line): void
    {
        $channel = $this->channels[ltrim(strtolower($line->param(0)), '#')] ?? null;
        if ($channel === null) {
            return;
        }
        $outcome = $channel->hear($this->lineOf($line));
        if ($outcome instanceof Fenced) {
            unset($this->channels[$channel->login]);
        } elseif ($outcome !== null) {
            $this->speak($channel);
        }
    }

    private function lineOf(IrcLine $line): ChatLine
    {
        $nick = $line->nick();
        $account = Fold::caseless(($line->tags['account'] ?? '') === '' ? $nick : $line->tags['account']);
        $levels = [];
        foreach ($line->tags as $name => $value) {
            if (str_ends_with($name, '/levels')) {
                $levels = array_filter(array_map(Level::named(...), explode(',', $value)));
            }
        }
        $name = '';
        foreach ($line->tags as $tag => $value) {
            $name = str_ends_with($tag, '/name') ? $value : $name;
        }
        $at = isset($line->tags['time']) ? Moment::fromIso($line->tags['time']) : null;

        return new ChatLine(
            $line->tags['msgid'] ?? $this->chat->run.'-'.++$this->heard,
            Person::known('account:'.$account, $account, $name === '' ? $nick : $name, Levels::of(...array_values($levels))),
            mb_scrub($line->param(1)),
            $at ?? Moment::of(now()),
        );
    }

    /** Says what is queued. Each is marked before it goes out, so that it never goes out twice. */
    private function speak(ChannelOnAir $channel): void
    {
        if (! $this->chat->isWelcome() || $this->chat->stateIn($channel->login) === 'away') {
            return;
        }
        foreach ($this->outgoing->queued($channel->id) as $number => $saying) {
            if ($saying->place !== Place::Whisper && $this->outgoing->hand($channel->id, $number, $channel->epoch)) {
                $this->chat->say("#{$channel->login}", $saying->text);
            }
        }
    }

    private function askDetails(): void
    {
        foreach ($this->channels as $channel) {
            async(fn () => $this->askDetailsOf($channel));
        }
    }

    private function askDetailsOf(ChannelOnAir $channel): void
    {
        $channel->details = $this->details->of($channel->login) ?? [];
    }

    private function end(): void
    {
        foreach ($this->channels as $channel) {
            Tallies::keep($channel, $this->store($channel));
            $this->lease->leave($channel->id, $channel->epoch);
        }
        $this->chat->end();
        EventLoop::getDriver()->stop();
    }

    private function store(ChannelOnAir $channel): MariaDbStore
    {
        return new MariaDbStore($this->connection, $channel->id, $channel->epoch);
    }
}
