<?php

declare(strict_types=1);

namespace App\Write;

use Illuminate\Support\Carbon;
use SilverParrot\Pack\Command;

/** One line in the list of commands. */
final readonly class Entry
{
    /**
     * @param  int  $times  it has answered within a week
     * @param  string|null  $said  to somebody without any level, now; null where that cannot be told
     * @param  Carbon|null  $last  when it answered last within a week; null for not at all
     */
    public function __construct(
        public int $id,
        public Command $command,
        public string $sentence,
        public int $findings,
        public int $times = 0,
        public ?Carbon $last = null,
        public ?string $said = null,
    ) {
    }

    /** “3 times this week, last 2 hours ago”; empty where it was not used. */
    public function used(): string
    {
        return match (true) {
            $this->last === null => '',
            $this->times === 1 => 'once this week, '.$this->last->diffForHumans(),
            default => number_format($this->times).' times this week, last '.$this->last->diffForHumans(),
        };
    }
}
