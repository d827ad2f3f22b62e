<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

use SilverParrot\Chat\HappeningKind;

/** Something that happens while a crowd talks. */
final readonly class CrowdHappening
{
    /**
     * @param  int  $minute  since the start
     * @param  int  $count  people of a raid, or how many follow
     * @param  string  $text  the category
     */
    public function __construct(
        public int $minute,
        public HappeningKind $kind,
        public int $count = 1,
        public string $text = '',
    ) {
    }
}
