<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Lookup\Address\LookedAt;
use SilverParrot\Value\Moment;

/** What checks know besides the pack. */
final readonly class CheckEnvironment
{
    public ChatProfile $profile;

    /**
     * @param  Moment|null  $now  null where nobody says what day it is: then nothing is past
     * @param  ChatProfile|null  $profile  of the chat that the pack is written for; null for the usual one
     * @param  list<string>  $categories  that the streaming service has; empty where that is not known
     * @param  array<string, LookedAt>  $addresses  that no longer lead where they did
     */
    public function __construct(
        public ?Moment $now = null,
        ?ChatProfile $profile = null,
        public array $categories = [],
        public array $addresses = [],
    ) {
        $this->profile = $profile ?? ChatProfile::stream();
    }

    public static function at(?Moment $now): self
    {
        return new self($now);
    }
}
