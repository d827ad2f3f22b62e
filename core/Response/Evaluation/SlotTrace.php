<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** Told of each slot while a response is said, when somebody wants to know. */
interface SlotTrace
{
    /** @param  string|null  $text what it printed; null when it failed */
    public function slot(Span $span, ?string $text, null|bool|int|string|Value $value): void;

    public function choice(Span $span, bool $holds): void;
}
