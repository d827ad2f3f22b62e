<?php

declare(strict_types=1);

namespace App\Publish;

use SilverParrot\Source\Limits;

/** Why changes do not go on the air, in a sentence. */
final class CannotPublish extends \RuntimeException
{
    /** The draft, written as a document, is longer than any that is read. */
    public static function tooLarge(int $bytes): self
    {
        return new self(
            sprintf(
                'The pack is %.1f MB long, and an edition holds at most %.0f. Delete what is no longer used, or '
                    .'pictures of emotes.',
                $bytes / 1_000_000,
                Limits::PACK / 1_000_000,
            ),
        );
    }

    /** @param  list<string>  $where  triggers, or what else the errors stand in */
    public static function errors(int $count, array $where): self
    {
        $errors = $count === 1 ? '1 error' : "$count errors";

        return new self("Fix $errors first, or leave the change out: ".implode(', ', $where).'.');
    }

    public static function sameTrigger(string $one, string $other): self
    {
        return new self("$one and $other would have the same trigger. Publish both changes, or neither.");
    }

    public static function nothing(): self
    {
        return new self('Choose what to publish.');
    }
}
