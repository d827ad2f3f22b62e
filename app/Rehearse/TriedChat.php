<?php

declare(strict_types=1);

namespace App\Rehearse;

use SilverParrot\Pack\CastMember;
use SilverParrot\Rehearsal\Heard;

/** The simulated chat with what was said to each line. */
final readonly class TriedChat
{
    /**
     * @param  list<Heard>  $heard
     * @param  list<CastMember>  $cast
     */
    public function __construct(public TryState $state, public array $heard, public array $cast)
    {
    }
}
