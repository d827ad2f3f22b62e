<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

use SilverParrot\Chat\HappeningKind;

/** Crowds to begin with. */
enum CrowdPreset: string
{
    /** A handful of people who know each other. */
    case Quiet = 'quiet';

    /** A full evening. */
    case Busy = 'busy';

    /** An ordinary evening, and then another channel's viewers come over. */
    case Raid = 'raid';

    /** So many that nobody reads it all. */
    case Crowded = 'crowded';

    public function description(): CrowdDescription
    {
        return match ($this) {
            self::Quiet => new CrowdDescription(8, 120, 240, busiestTenth: 30, stays: 70),
            self::Busy => new CrowdDescription(150, 120, 6_000, phases: [
                new CrowdPhase(50, 60, 250),
                new CrowdPhase(90, 105, 40),
            ], happenings: [
                new CrowdHappening(15, HappeningKind::Follow),
                new CrowdHappening(70, HappeningKind::Follow),
            ]),
            self::Raid => new CrowdDescription(40, 90, 1_800, happenings: [
                new CrowdHappening(30, HappeningKind::Raid, 80),
                new CrowdHappening(32, HappeningKind::Follow, 12),
                new CrowdHappening(60, HappeningKind::StreamEnds),
                new CrowdHappening(64, HappeningKind::StreamBegins),
            ]),
            self::Crowded => new CrowdDescription(3_000, 120, 40_000, busiestTenth: 70, stays: 30),
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Quiet => 'a quiet evening',
            self::Busy => 'a busy evening',
            self::Raid => 'a raid',
            self::Crowded => 'a crowded evening',
        };
    }
}
