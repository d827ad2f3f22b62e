<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** Something that has a value. */
interface Expression
{
    public function span(): Span;

    public function evaluate(Run $run): null|bool|int|string|Value;
}
