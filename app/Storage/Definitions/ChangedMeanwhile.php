<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

/** Somebody else has changed it since it was looked at; nothing was overwritten. */
final class ChangedMeanwhile extends \RuntimeException
{
    public const NOTICE = 'Somebody changed this meanwhile, and nothing was overwritten. Look at what is there now, '
        .'and save again.';
}
