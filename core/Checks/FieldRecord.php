<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;

/** What a pack writes down for a field: whether it could be kept there. */
final class FieldRecord
{
    public static function fits(Field $field, string $written): bool
    {
        $number = Number::typed($written);

        return match ($field->type) {
            FieldType::Text => mb_strlen($written) <= $field->limits->longest,
            FieldType::Number => $number !== null && $field->limits->admits($number),
            FieldType::Points => is_int($number) && $number >= 0,
            FieldType::Moment => Moment::fromIso($written) !== null,
            FieldType::YesNo => in_array(Fold::caseless($written), ['yes', 'no', '1', ''], true),
        };
    }

    public static function typeOf(Field $field): string
    {
        return match ($field->type) {
            FieldType::Text => "text of at most {$field->limits->longest} characters",
            FieldType::Number => rtrim("number {$field->limits->inWords()}"),
            FieldType::Points => 'whole number from 0 on',
            FieldType::Moment => 'moment',
            FieldType::YesNo => 'yes or no',
        };
    }
}
