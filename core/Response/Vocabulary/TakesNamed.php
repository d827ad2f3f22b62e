<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

/**
 * A filter that takes values with a name before them, `few="…"`, instead of or beside the others; it needs at least one
 * of either.
 */
interface TakesNamed
{
    /** @return non-empty-list<string> folded */
    public function named(): array;
}
