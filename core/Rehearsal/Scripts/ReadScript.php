<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Pack\CastMember;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Value\Moment;

/** A script as it can be run. */
final readonly class ReadScript
{
    public const FORMAT = 'silver-parrot-script';

    /** When an evening begins that does not say. */
    public const START = '2026-11-25T19:00:00Z';

    /**
     * @param  list<CastMember>  $cast  people over those of the pack
     * @param  list<ScriptPart>  $parts  in the order of their times
     * @param  list<Expects>  $expected  of all of it
     * @param  bool  $isFloodLifted  whether the limit over all commands is left out
     */
    public function __construct(
        public string $title,
        public Moment $at,
        public string $seed,
        public array $cast,
        public InitialState $situation,
        public array $parts,
        public array $expected = [],
        public bool $isFloodLifted = false,
    ) {
    }

    /** @return int milliseconds from its start to the last of its parts */
    public function length(): int
    {
        return $this->parts === [] ? 0 : $this->parts[count($this->parts) - 1]->millis;
    }
}
