<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Chat\ChatProfile;

/** Where a saying must fit: a chat profile, in one channel, said by one account. */
final readonly class MessageLimits
{
    public function __construct(public ChatProfile $profile, public string $channel, public string $login)
    {
    }

    public function characters(): ?int
    {
        return $this->profile->longestCharacters;
    }

    public function bytes(): ?int
    {
        return $this->profile->bytesForText($this->channel, $this->login);
    }
}
