<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Pack\CastMember;

/** Somebody says a line that begins with the trigger or with a phrase, once or several times. */
final readonly class Attempt
{
    /**
     * @param  list<int>  $again  milliseconds after which it is said once more
     * @param  CastMember|null  $then  who says it again; null for the same
     * @param  string  $phrase  that it begins with in place of the trigger; empty for none
     */
    public function __construct(
        public CastMember $by,
        public string $words,
        public bool $isWhisper = false,
        public array $again = [],
        public ?CastMember $then = null,
        public string $phrase = '',
    ) {
    }
}
