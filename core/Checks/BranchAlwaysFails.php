<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Severity;

/** What fails whenever its branch is said. Silent on what stands in no branch, which is an error. */
final readonly class BranchAlwaysFails extends AbstractCheck
{
    public function code(): string
    {
        return 'branch-always-fails';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'Where this is said, it always fails: {why}.';
    }

    public function mend(): string
    {
        return '{mend}.';
    }

    public function reason(): string
    {
        return 'Whoever comes here waits for an answer.';
    }

    public function look(CheckContext $at): array
    {
        return CertainFailures::in($at, $this, isInBranch: true);
    }
}
