<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\ReadingOrigin;
use SilverParrot\Lookup\Request;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** Told of each slot while a response is said, when somebody wants to know. */
interface SlotTrace
{
    /** @param  string|null  $text what it printed; null when it failed */
    public function slot(Span $span, ?string $text, null|bool|int|string|Value $value): void;

    /** @param  Request  $request  of a reading, and what it was */
    public function lookedUp(
        Lookup $lookup,
        Request $request,
        null|bool|int|string|Value $value,
        ?ReadingOrigin $origin,
    ): void;

    public function choice(Span $span, bool $holds): void;

    /** One of several was taken: what stands behind an `or`, or one of those to be drawn. */
    public function took(Span $span): void;
}
