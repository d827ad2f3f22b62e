<?php

declare(strict_types=1);

namespace App\Storage;

use SilverParrot\Source\Finding;

/** A pack and what another brings would be no pack that can be read back. */
final class CannotMerge extends \RuntimeException
{
    /** @param  Finding|null  $finding  null where it would be too long */
    public static function because(?Finding $finding): self
    {
        return new self(
            $finding === null
                ? 'Together they are longer than a pack may be. Choose less.'
                : "Together they would not be a pack that can be read: {$finding->sentence()} Choose less.",
        );
    }
}
