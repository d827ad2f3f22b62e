<?php

declare(strict_types=1);

namespace App\Storage;

/** Another command of the channel has this trigger or alias. */
final class TriggerTaken extends \RuntimeException
{
    public function __construct(public readonly string $trigger)
    {
        parent::__construct("{$trigger} is used by another command already.");
    }
}
