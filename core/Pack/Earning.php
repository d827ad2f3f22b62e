<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Levels;

/** One rule by which viewers earn points: who, for what, how much, how often, when. */
final readonly class Earning
{
    /** Minutes, at most: a day. */
    public const LONGEST = 1_440;

    /**
     * @param  string  $unit  the id of a field that holds points
     * @param  int  $amount  from 1 on
     * @param  int  $minutes  how often, for being here; how often at most, for a line (0: each)
     * @param  LevelRule  $levels  who earns
     * @param  bool  $whileLive  whether only while the stream is on
     * @param  string  $happening  what kind of happening, where that is what it is earned by: "raid"
     */
    public function __construct(
        public string $id,
        public string $unit,
        public EarnedBy $by,
        public int $amount,
        public int $minutes = 0,
        public LevelRule $levels = new LevelRule,
        public bool $whileLive = true,
        public string $happening = '',
    ) {
    }

    public function isFor(Levels $held, ?bool $isLive): bool
    {
        return ($isLive === true || ! $this->whileLive)
            && ($this->levels->isForEveryone() || $this->levels->admits($held));
    }
}
