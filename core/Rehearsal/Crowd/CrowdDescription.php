<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

/** How a crowd is: how many, how much they write, and what. */
final readonly class CrowdDescription
{
    public const MOST_PEOPLE = 5_000;

    public const MOST_LINES = 200_000;

    public const LONGEST_MINUTES = 24 * 60;

    /** Phases, and happenings. */
    public const MOST = 50;

    /** Lines of a log from whose words a crowd takes. */
    public const MOST_LOG = 5_000;

    /** People of one raid. */
    public const LARGEST_RAID = 2_000;

    /**
     * @param  int  $busiestTenth  percent of the lines that the tenth writes which writes most; at least 10
     * @param  int  $stays  minutes that somebody stays on average; 0 for all evening
     * @param  array<string, int>  $levels  percent of the people: "follower", "subscriber", "vip", "moderator"
     * @param  array<string, int>  $habits  percent of the lines, by key; the rest is said by the way
     * @param  list<CrowdPhase>  $phases
     * @param  list<CrowdHappening>  $happenings
     */
    public function __construct(
        public int $people,
        public int $minutes,
        public int $lines,
        public int $busiestTenth = 60,
        public int $stays = 40,
        public array $levels = ['follower' => 60, 'subscriber' => 20, 'vip' => 4, 'moderator' => 2],
        public array $habits = self::HABITS,
        public array $phases = [],
        public array $happenings = [],
    ) {
    }

    public const HABITS = [
        'commands' => 7,
        'mistypes' => 1,
        'flurries' => 1,
        'phrases' => 2,
        'unknown_names' => 1,
        'asks' => 5,
        'greets' => 4,
        'greets_back' => 2,
        'repeats' => 2,
        'shouts' => 2,
        'links' => 1,
        'emotes' => 4,
        'about_parrot' => 1,
        'other_languages' => 1,
        'tricks' => 1,
    ];

    public function sized(?int $people, ?int $minutes, ?int $lines): self
    {
        $minutes ??= $this->minutes;

        return new self(
            $people ?? $this->people,
            $minutes,
            // A longer evening of the same crowd has more lines.
            $lines ?? max(1, intdiv($this->lines * $minutes, max(1, $this->minutes))),
            $this->busiestTenth,
            $this->stays,
            $this->levels,
            $this->habits,
            $this->phases,
            $this->happenings,
        );
    }

    /** @return int milliseconds */
    public function length(): int
    {
        return $this->minutes * 60_000;
    }

    /** @return float|null beside the pace of all else; null where it is as ever */
    public function paceAt(float $millis): ?float
    {
        foreach ($this->phases as $phase) {
            if ($millis >= $phase->from * 60_000 && $millis < $phase->to * 60_000) {
                return $phase->pace / 100;
            }
        }

        return null;
    }

    /**
     * How much each of so many people writes beside the others, the busiest first: by Zipf's law, so steep that the
     * busiest tenth has its share.
     *
     * @return list<float>
     */
    public static function weights(int $people, int $busiestTenth): array
    {
        $tenth = max(1, intdiv($people, 10));
        $wanted = max($tenth / $people, min(0.99, $busiestTenth / 100));
        $of = static fn (float $steep): array => array_map(
            static fn (int $place): float => $place ** -$steep,
            range(1, $people),
        );
        [$flat, $steep] = [0.0, 6.0];
        for ($round = 0; $round < 40; $round++) {
            $middle = ($flat + $steep) / 2;
            $weights = $of($middle);
            array_sum(array_slice($weights, 0, $tenth)) / array_sum($weights) < $wanted
                ? ($flat = $middle)
                : ($steep = $middle);
        }

        return $of($steep);
    }
}
