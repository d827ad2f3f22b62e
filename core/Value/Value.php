<?php

declare(strict_types=1);

namespace SilverParrot\Value;

/**
 * What a slot can hold besides text (string), a whole number (int), yes/no (bool) and nothing (null), which are PHP's
 * own, because most values are one of these and nothing is faster.
 */
interface Value
{
}
