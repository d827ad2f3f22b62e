<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Severity;

/**
 * What fails whenever the response is said, whatever is typed, remembered or looked up. Silent on what a condition
 * decides, which has a check of its own.
 */
final readonly class AlwaysFails extends AbstractCheck
{
    public function code(): string
    {
        return 'always-fails';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return 'This always fails: {why}.';
    }

    public function mend(): string
    {
        return '{mend}.';
    }

    public function reason(): string
    {
        return 'The parrot would never say it.';
    }

    public function look(CheckContext $at): array
    {
        return CertainFailures::in($at, $this, isInBranch: false);
    }
}
