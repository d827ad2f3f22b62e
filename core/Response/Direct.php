<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use Closure;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Value\Value;

/** A name of which some uses come down to next to nothing, once it is known which they are: see Prepares. */
interface Direct
{
    /** @return (Closure(Run): (null|bool|int|string|Value))|null null for a use that is no simpler than value() */
    public function direct(Call $call): ?Closure;
}
