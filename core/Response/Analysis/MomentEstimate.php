<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use DateTimeZone;
use SilverParrot\Value\Moment;

/** Values as moments. */
final class MomentEstimate
{
    /** Whether it is there, and never a moment, nor a text that is read as one. */
    public static function isNone(ValueEstimate $value, DateTimeZone $zone): bool
    {
        return ! $value->canBeNothing
            && $value->kinds !== []
            && $value->cannotBeRead(
                static fn (string $text): bool => Moment::fromIso($text, $zone) !== null,
                ValueKind::Moment,
            );
    }
}
