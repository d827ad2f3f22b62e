<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A saved rehearsal as its author wrote it: a document of its own, which rehearsing reads. */
final readonly class Script
{
    public const MOST = 500;

    /** Characters of one. */
    public const LONGEST = 200_000;

    public const LONGEST_TITLE = 100;

    public function __construct(public string $id, public string $title, public string $text)
    {
    }
}
