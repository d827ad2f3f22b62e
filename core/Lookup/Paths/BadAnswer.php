<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

use Exception;

/** An answer that is not what it should be: no JSON, no XML. */
final class BadAnswer extends Exception
{
}
