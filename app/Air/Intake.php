<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Wire\Inbound;
use SilverParrot\Chat\Wire\IrcLine;
use SilverParrot\Chat\Wire\PersonTags;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/**
 * Takes in what the connections bring: a line goes to the channel whose chat it came from, what a server says into its
 * log.
 */
final class Intake
{
    private int $heard = 0;

    public function __construct(
        private readonly OnAirNow $onAir,
        private readonly Inbox $inbox,
        private readonly Containment $containment,
    ) {
    }

    public function hear(IrcLine $line, ChatConnection $chat): void
    {
        $isWhisper = $line->command === 'PRIVMSG' && strcasecmp($line->param(0), $chat->address->nick) === 0;
        $of = $isWhisper ? $this->onAir->whisperedBy($chat, $line->nick()) : null;
        $name = $isWhisper ? $of->address->name ?? '' : ltrim(strtolower($line->param(0)), '#');
        foreach ($of !== null ? [$of] : $this->onAir->in($chat, $name) as $channel) {
            // Seats are given once a beat: a channel may have been lost since.
            if (! $this->onAir->has($channel)) {
                continue;
            }
            $this->containment->of($channel, function () use ($channel, $line, $chat, $name, $isWhisper): void {
                $line->command === 'PRIVMSG'
                    ? $this->inbox->add($channel, $this->lineOf($line, $chat, $channel->address, $name, $isWhisper))
                    : self::noted($channel, $line);
            });
        }
    }

    private static function noted(ChannelOnAir $channel, IrcLine $line): void
    {
        if (! str_contains($line->prefix, '!')) {
            $channel->log(
                LogEntry::NOTICE,
                '',
                Person::unknown(Inbound::text($line->nick(), Limits::NAME)),
                Inbound::text($line->param(1), Limits::LINE),
                Moment::of(now()),
            );
        }
    }

    private function lineOf(
        IrcLine $line,
        ChatConnection $chat,
        ?ChatAddress $address,
        string $name,
        bool $isWhisper,
    ): ChatLine {
        $nick = $line->nick();
        $levels = [
            ...($chat->roster($name)?->isOperator($nick) === true ? [Level::Moderator] : []),
            ...($chat->roster($name)?->hasVoice($nick) === true ? [Level::Vip] : []),
        ];

        return Inbound::line(
            $line,
            $address->tags ?? PersonTags::none(),
            $chat->capabilities(),
            $levels,
            $chat->run.'-'.++$this->heard,
            Moment::of(now()),
            $isWhisper,
        );
    }
}
