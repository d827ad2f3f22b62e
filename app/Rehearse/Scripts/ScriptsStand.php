<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\CommandRow;
use App\Models\ScriptRow;

/** How the scripts of a channel stand against its draft. */
final readonly class ScriptsStand
{
    /**
     * @param  array<int, ScriptRow>  $scripts
     * @param  int  $left  that did not run against the draft as it is
     * @param  array<int, array{command: CommandRow, kept: int, broken: int}>  $replies  kept as expected, by command
     * @param  array<string, true>  $reached  what all of these come to, as Reach calls it
     */
    public function __construct(
        public array $scripts,
        public int $left,
        public array $replies = [],
        public array $reached = [],
    ) {
    }

    public function isEmpty(): bool
    {
        return $this->scripts === [] && $this->replies === [];
    }

    /** @return list<ScriptRow> */
    public function broken(): array
    {
        return array_values(array_filter($this->scripts, static fn (ScriptRow $row): bool => $row->holds === false));
    }

    public function ran(): int
    {
        return count($this->scripts) - $this->left;
    }
}
