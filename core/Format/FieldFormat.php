<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\ChangeRuleFormat;
use SilverParrot\Document\Document;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldLimits;
use SilverParrot\Pack\FieldType;
use SilverParrot\Source\Limits;

/** {"name": "boat", "type": "text", "limits": {"longest": 40}} */
final class FieldFormat
{
    public static function read(Document $field): Field
    {
        $field->object(
            ['id', 'name', 'type', 'start', 'one', 'many', 'least_gift', 'ranks_streamer', 'limits', 'changes'],
            ['name'],
        );

        return new Field(
            $field->at('name')->name(),
            $field->has('type') ? $field->at('type')->oneOf(FieldType::class) : FieldType::Text,
            $field->has('start') ? $field->at('start')->text(Limits::FIELD_TEXT) : null,
            DefinitionName::id($field),
            $field->has('one') ? $field->at('one')->text(Limits::NAME) : '',
            $field->has('many') ? $field->at('many')->text(Limits::NAME) : '',
            $field->has('least_gift') ? $field->at('least_gift')->whole(1, Limits::COUNTER) : 1,
            $field->has('ranks_streamer') && $field->at('ranks_streamer')->flag(),
            $field->has('limits') ? self::limits($field->at('limits')) : new FieldLimits,
            ChangeRuleFormat::of($field),
        );
    }

    /** @return array<string, mixed> */
    public static function write(Field $field): array
    {
        return DefinitionName::written($field) + ['type' => $field->type->value]
            + ($field->start === null ? [] : ['start' => $field->start])
            + ($field->one === '' ? [] : ['one' => $field->one])
            + ($field->plural === '' ? [] : ['many' => $field->plural])
            + ($field->leastGift === 1 ? [] : ['least_gift' => $field->leastGift])
            + ($field->ranksStreamer ? ['ranks_streamer' => true] : [])
            + self::writeLimits($field->limits)
            + ChangeRuleFormat::written($field->changes);
    }

    private static function limits(Document $limits): FieldLimits
    {
        $limits->object(['least', 'most', 'longest']);
        $bound = static fn (string $key): ?int => $limits->has($key)
            ? $limits->at($key)->whole(-Limits::COUNTER, Limits::COUNTER)
            : null;

        return new FieldLimits(
            $bound('least'),
            $bound('most'),
            $limits->has('longest') ? $limits->at('longest')->whole(1, Limits::FIELD_TEXT) : Limits::FIELD_TEXT,
        );
    }

    /** @return array<string, mixed> */
    private static function writeLimits(FieldLimits $limits): array
    {
        $written = ($limits->least === null ? [] : ['least' => $limits->least])
            + ($limits->most === null ? [] : ['most' => $limits->most])
            + ($limits->longest === Limits::FIELD_TEXT ? [] : ['longest' => $limits->longest]);

        return $written === [] ? [] : ['limits' => $written];
    }
}
