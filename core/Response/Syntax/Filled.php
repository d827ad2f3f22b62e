<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Value\Value;

/** A part that is filled in when the response is said. */
abstract readonly class Filled extends Part
{
    /**
     * @return Closure(EvaluationContext): (null|bool|int|string|Value|RenderedResponse) a value to be printed, for
     *     which a slot stands; or what was said, and told to the trace, already
     */
    abstract public function prepared(): Closure;
}
