<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

/** A filter that takes longer than going over a text once. */
interface Laborious
{
    /**
     * @param  int  $bytes  of the text, or of all parts together
     * @return int steps of about a microsecond
     */
    public function steps(int $bytes): int;
}
