<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Value\Value;

/**
 * An expression that has a shorter way to its value for sayings without a trace: a closure in which all that is known
 * beforehand is settled. It gives what evaluate() gives; a test holds the two against each other.
 */
interface Prepares
{
    /** @return Closure(Run): (null|bool|int|string|Value) */
    public function prepared(): Closure;
}
