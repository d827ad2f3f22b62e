<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

use SilverParrot\Value\Value;

/** A filter that makes a value of a gap. It looks at its arguments only where they are needed. */
interface HandlesGaps
{
    public function isNeededFor(null|bool|int|string|Value $value): bool;
}
