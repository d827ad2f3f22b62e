<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

/** For how long an answer is kept, in seconds: as the source says, within these limits. */
final readonly class Keep
{
    /** A week. */
    public const LONGEST = 604_800;

    /**
     * @param  int  $least  also where the source says less, or nothing
     * @param  int  $most  also where the source says more
     * @param  int  $stale  longer while the source is down
     * @param  int  $ahead  minutes after which it is asked anew while the stream is live, before anybody needs it; 0
     *     for never
     */
    public function __construct(
        public int $least = 60,
        public int $most = 3_600,
        public int $stale = 600,
        public int $ahead = 0,
    ) {
    }

    /** @param  int|null  $said  what the source says; null for nothing */
    public function seconds(?int $said): int
    {
        return max($this->least, min($this->most, $said ?? $this->least));
    }
}
