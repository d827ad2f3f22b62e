<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;

/** What a field holds, in a few words: “a number, from 0 to 120, set by each viewer for themselves”. */
final class FieldSummary
{
    /** @return non-empty-list<Message> the most important first */
    public static function of(Field $field): array
    {
        $told = [new Message("fields.type-{$field->type->value}")];
        if ($field->start !== null && $field->start !== '') {
            $told[] = new Message('fields.start', ['start' => $field->start]);
        }
        if ($field->type === FieldType::Number && $field->limits->inWords() !== '') {
            $told[] = new Message('fields.limits', ['limits' => $field->limits->inWords()]);
        }
        if ($field->type === FieldType::Text && $field->limits->longest < Limits::FIELD_TEXT) {
            $told[] = new Message('fields.longest', ['longest' => $field->limits->longest]);
        }

        return [...$told, ...ChangeRuleSummary::of($field->changes)];
    }
}
