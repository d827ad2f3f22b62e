<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/** What can happen in a channel besides somebody's writing. */
enum HappeningKind: string
{
    /** Somebody follows the channel. */
    case Follow = 'follow';

    /** Another channel's viewers come over, all at once. */
    case Raid = 'raid';

    /** The stream is offline from here on. */
    case StreamEnds = 'stream_ends';

    /** The stream is live from here on. */
    case StreamBegins = 'stream_begins';

    /** The channel has another category from here on. */
    case Category = 'category';

    /** The streamer says yes to the change from the chat that has waited longest. */
    case Allows = 'streamer_allows';

    /** The streamer says no to it. */
    case Refuses = 'streamer_refuses';

    /** As the end of a sentence: "the stream breaks off". */
    public function label(): string
    {
        return match ($this) {
            self::Follow => 'somebody follows',
            self::Raid => 'a raid',
            self::StreamEnds => 'the stream breaks off',
            self::StreamBegins => 'the stream is back',
            self::Category => 'another category',
            self::Allows => 'the streamer says yes',
            self::Refuses => 'the streamer says no',
        };
    }

    /** @return list<self> those that come by themselves in a crowd */
    public static function ofCrowds(): array
    {
        return [self::Follow, self::Raid, self::StreamEnds, self::StreamBegins, self::Category];
    }
}
