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
     */
    public function __construct(public array $scripts, public int $left, public array $replies)
    {
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
