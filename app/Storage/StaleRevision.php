<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\CommandRow;

/** Somebody else has saved the command, or dropped it, since it was opened. */
final class StaleRevision extends \RuntimeException
{
    /** @param  CommandRow|null  $theirs null when it was dropped */
    public function __construct(public readonly ?CommandRow $theirs)
    {
        parent::__construct('The command was saved by somebody else meanwhile.');
    }
}
