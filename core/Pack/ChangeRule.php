<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;

/**
 * Who may change something that is remembered through a response, whichever command it stands in. The streamer always
 * may, and so may what no person set off.
 */
final readonly class ChangeRule
{
    /**
     * @param  bool  $ownOnly  of what is kept for each viewer: whether one changes only one's own; moderators change
     *     others' too
     * @param  bool  $byHand  whether it may be set on a screen, and not by responses alone
     */
    public function __construct(
        public LevelRule $levels = new LevelRule,
        public bool $ownOnly = false,
        public bool $byHand = true,
    ) {
    }

    /**
     * @param  Person|null  $by  null where nobody set it off
     * @param  string|null  $of  the id of the person whose it is; null where it is no viewer's
     */
    public function admits(?Person $by, ?string $of): bool
    {
        return $by === null
            || ($this->levels->admits($by->levels)
                && (! $this->ownOnly || $of === null || $of === $by->id || self::keepsOrder($by->levels)));
    }

    public function isForEveryone(): bool
    {
        return $this->levels->isForEveryone() && ! $this->ownOnly;
    }

    private static function keepsOrder(Levels $levels): bool
    {
        return $levels->highest()->value >= Level::Moderator->value;
    }
}
