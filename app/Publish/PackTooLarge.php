<?php

declare(strict_types=1);

namespace App\Publish;

use SilverParrot\Source\Limits;

/** The draft, written as a document, is longer than any that is read. */
final class PackTooLarge extends \RuntimeException
{
    public static function of(int $bytes): self
    {
        return new self(
            sprintf(
                'The pack is %.1f MB long, and an edition holds at most %.0f. Drop what is no longer used, or '
                    .'pictures of emotes.',
                $bytes / 1_000_000,
                Limits::PACK / 1_000_000,
            ),
        );
    }
}
