<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\Command;

/** Somebody else has saved the command, or dropped it, since it was opened. */
final class StaleRevision extends \RuntimeException
{
    /** @param  Command|null  $theirs null when it was dropped */
    public function __construct(public readonly ?Command $theirs)
    {
        parent::__construct('The command was saved by somebody else meanwhile.');
    }
}
