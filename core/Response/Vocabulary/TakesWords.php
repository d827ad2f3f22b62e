<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

/** A filter that is followed by one of a few plain words: `in days`. */
interface TakesWords
{
    /** @return non-empty-list<string> */
    public function words(): array;
}
