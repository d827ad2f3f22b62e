<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\FindingKind;

/** A check with one thing to say: its class is the kind of its findings. When it stays silent stands in its comment. */
abstract readonly class AbstractCheck implements Check, FindingKind
{
    /** Why an author should care, in a sentence. */
    abstract public function reason(): string;
}
