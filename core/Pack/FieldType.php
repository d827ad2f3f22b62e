<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** What a viewer's field holds. */
enum FieldType: string
{
    /** A number, with decimals if need be. */
    case Number = 'number';

    /** A text. */
    case Text = 'text';

    /** A moment. */
    case Moment = 'moment';

    /** Yes or no. */
    case YesNo = 'yes_no';

    /** A whole number that is earned and spent, and is never below zero. */
    case Points = 'points';

    public function isNumber(): bool
    {
        return $this === self::Number || $this === self::Points;
    }
}
