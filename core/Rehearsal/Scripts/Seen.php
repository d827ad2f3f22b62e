<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Chat\Saying;
use SilverParrot\Memory\Change;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Source\Wording;

/** What an expectation looks at: one line and all that came of it, or a whole evening. */
final readonly class Seen
{
    /**
     * @param  list<Heard>  $heard
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $after  memory behind it, by key id
     * @param  array<string, true>  $asked  ids of the look-ups' requests
     */
    public function __construct(
        public array $heard,
        public array $after,
        public array $asked,
        public Pack $pack,
        public Wording $wording,
    ) {
    }

    /** @return list<Saying> */
    public function sayings(): array
    {
        return array_merge([], ...array_map(static fn (Heard $one): array => $one->outcome->sayings, $this->heard));
    }

    /** @return list<string> */
    public function texts(): array
    {
        return array_column($this->sayings(), 'text');
    }

    /** @return list<Change> that authors would call so */
    public function changes(): array
    {
        return array_merge(
            [],
            ...array_map(static fn (Heard $one): array => $one->outcome->authoredChanges(), $this->heard),
        );
    }

    /** @return int milliseconds between the first thing heard, and what was said last */
    public function took(): int
    {
        $first = $last = null;
        foreach ($this->heard as $one) {
            $first ??= $one->line->millis;
            $last = $one->outcome->sayings === [] ? $last : $one->line->millis;
        }

        return $last === null ? 0 : $last - (int) $first;
    }

    /** @return list<string> gates that were closed, and reasons of failures */
    public function reasons(): array
    {
        $reasons = [];
        foreach ($this->heard as $one) {
            $reasons[] = $one->outcome->closed->gate ?? ($one->outcome->failed->reason ?? '');
        }

        return array_values(array_filter($reasons));
    }
}
