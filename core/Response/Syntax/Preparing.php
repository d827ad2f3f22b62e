<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Value\Value;

/** The shortest way to a value. */
final class Preparing
{
    /** @return Closure(Run): (null|bool|int|string|Value) */
    public static function value(Expression $expression): Closure
    {
        return $expression instanceof Prepares ? $expression->prepared() : $expression->evaluate(...);
    }
}
