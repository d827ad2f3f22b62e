<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Saying;
use SilverParrot\Outbox\Pace;
use SilverParrot\Value\Moment;

/**
 * Says what is queued, as far as the chat takes it. Each is marked before it goes out, so that it never goes out twice:
 * an answer that the chat takes at once is marked in the commit that keeps it, everything else when its time has come.
 */
final readonly class Speaker
{
    public function __construct(private OutgoingQueue $outgoing)
    {
    }

    /**
     * Asked inside the turn that keeps them.
     *
     * @param  non-empty-list<Saying>  $sayings
     * @return bool whether they go out as soon as they are kept
     */
    public function takes(ChannelOnAir $channel, array $sayings): bool
    {
        $isFree = self::canSay($channel)
            && ! $channel->isBehind
            && count(self::pace($channel, $sayings)->now) === count($sayings)
            && ! in_array(
                null,
                array_map(static fn (Saying $saying): ?string => self::target($saying, $channel->address), $sayings),
                true,
            );
        $channel->taken = $isFree ? $sayings : [];
        $channel->isBehind = ! $isFree;

        return $isFree;
    }

    /** @param  list<Saying>  $sayings  what a turn has kept */
    public function answer(ChannelOnAir $channel, array $sayings): void
    {
        // Those of a turn that was undone were taken too, and are not said.
        if ($channel->taken !== $sayings) {
            $this->speak($channel);

            return;
        }
        $channel->taken = [];
        foreach ($sayings as $saying) {
            self::say($channel, $saying, Moment::of(now()));
        }
    }

    public function speak(ChannelOnAir $channel): void
    {
        if (! self::canSay($channel)) {
            return;
        }
        $queued = $this->outgoing->queued($channel->id);
        $now = Moment::of(now());
        $pace = self::pace($channel, $queued);
        foreach ($pace->dropped as $number) {
            $this->drop($channel, $number, $queued[$number], $now);
        }
        foreach ($pace->now as $number) {
            $saying = $queued[$number];
            if (self::target($saying, $channel->address) === null) {
                $this->drop($channel, $number, $saying, $now);
            } elseif ($this->outgoing->hand($channel->id, $number, $channel->epoch)) {
                self::say($channel, $saying, $now);
            }
        }
        $channel->isBehind = count($queued) > count($pace->dropped) + count($pace->now);
    }

    private function drop(ChannelOnAir $channel, int $number, Saying $saying, Moment $now): void
    {
        $this->outgoing->giveUp($channel->id, $number, 'dropped');
        $channel->logSaying(LogEntry::DROPPED, $saying, $now);
    }

    private static function say(ChannelOnAir $channel, Saying $saying, Moment $now): void
    {
        $channel->chat?->say(
            (string) self::target($saying, $channel->address),
            $saying->text,
            $saying->place === Place::Reply ? $saying->answerTo : '',
        );
        $channel->hasSaid();
        $channel->logSaying(LogEntry::SAID, $saying, $now);
    }

    public static function canSay(ChannelOnAir $channel): bool
    {
        return $channel->chat?->isWelcome() === true
            && in_array($channel->state(), [ConnectionState::Connected, ConnectionState::Moderator], true);
    }

    /** @param  array<int, Saying>  $sayings */
    private static function pace(ChannelOnAir $channel, array $sayings): Pace
    {
        $profile = $channel->profile;

        return Pace::of(
            $sayings,
            $channel->saidAges(),
            $channel->state() === ConnectionState::Moderator ? $profile->oftenForModerators : $profile->often,
            $profile->windowSeconds,
        );
    }

    /** @return string|null null for whoever cannot be whispered to: what is meant for one is told to nobody else */
    private static function target(Saying $saying, ?ChatAddress $address): ?string
    {
        if ($saying->place !== Place::Whisper) {
            return $address === null ? null : "#{$address->name}";
        }

        // A nick begins with neither the sign of a channel nor one of a server's (RFC 2812, 2.3.1).
        return preg_match('/^[^\s#&!+$:,*?@]+$/Du', $saying->to) === 1 ? $saying->to : null;
    }
}
