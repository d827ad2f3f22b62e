<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** What a finding can be about: a stable code, and the words for people, with {names} of the finding's data in them. */
interface FindingKind
{
    /** Stable, lower case, words joined by hyphens. */
    public function code(): string;

    public function severity(): Severity;

    public function sentence(): string;

    /** How to mend it; empty where nothing can be guessed. */
    public function mend(): string;
}
