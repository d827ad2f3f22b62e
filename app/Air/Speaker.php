<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Saying;
use SilverParrot\Outbox\Pace;
use SilverParrot\Value\Moment;

/** Says what is queued, as far as the chat takes it. Each is marked before it goes out, so that it never goes out twice. */
final readonly class Speaker
{
    public function __construct(private Outgoing $outgoing)
    {
    }

    public function speak(ChannelOnAir $channel): void
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
        $pace = Pace::of($queued, $channel->saidAges(), $standing === Standing::Moderator ? $profile->oftenForModerators : $profile->often, $profile->windowSeconds);
        foreach ($pace->dropped as $number) {
            $this->outgoing->giveUp($channel->id, $number, 'dropped');
            $channel->logSaying(HeardLine::DROPPED, $queued[$number], $now);
        }
        foreach ($pace->now as $number) {
            $saying = $queued[$number];
            $target = self::target($saying, $address);
            if ($target === null) {
                $this->outgoing->giveUp($channel->id, $number, 'dropped');
                $channel->logSaying(HeardLine::DROPPED, $saying, $now);
            } elseif ($this->outgoing->hand($channel->id, $number, $channel->epoch)) {
                $chat->say($target, $saying->text, $saying->place === Place::Reply ? $saying->answerTo : '');
                $channel->hasSaid();
                $channel->logSaying(HeardLine::SAID, $saying, $now);
            }
        }
    }

    /** @return string|null null for whoever cannot be whispered to: what is meant for one is told to nobody else */
    private static function target(Saying $saying, ChatAddress $address): ?string
    {
        if ($saying->place !== Place::Whisper) {
            return "#{$address->room}";
        }

        // A nick begins with neither the sign of a channel nor one of a server's (RFC 2812, 2.3.1).
        return preg_match('/^[^\s#&!+$:,*?@]+$/Du', $saying->to) === 1 ? $saying->to : null;
    }
}
