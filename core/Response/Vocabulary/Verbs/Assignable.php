<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Source\Span;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

/** One thing that is remembered, with its own rules for what it may become. Throws Failed where it may not. */
interface Assignable
{
    /** @param  int|Number  $amount below zero when it is taken */
    public function shift(int|Number $amount, Span $span): null|bool|int|string|Value;

    public function set(null|bool|int|string|Value $value, Span $span): null|bool|int|string|Value;

    /** Back to the start or default value. */
    public function clear(): void;
}
