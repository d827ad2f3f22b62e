<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\PlannedStream;
use SilverParrot\Pack\StreamPlan;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/** {"streams": [{"on": "tue", "at": "19:30", "minutes": 180}], "days_off": ["2026-12-25"]} */
final class PlanFormat
{
    public static function read(Document $plan): StreamPlan
    {
        $plan->object(['streams', 'days_off']);

        return new StreamPlan(
            $plan->has('streams') ? array_map(self::stream(...), $plan->at('streams')->items(StreamPlan::MOST)) : [],
            $plan->has('days_off')
                ? array_map(
                    static fn (Document $day): string => self::matching(
                        $day,
                        '/^\d{4}-\d\d-\d\d(?: (?:[01]\d|2[0-3]):[0-5]\d)?$/D',
                    ),
                    $plan->at('days_off')->items(StreamPlan::MOST),
                )
                : [],
        );
    }

    private static function stream(Document $stream): PlannedStream
    {
        $stream->object(['on', 'at', 'minutes', 'title', 'category'], ['on', 'at']);

        return new PlannedStream(
            self::matching($stream->at('on'), '/^(?:mon|tue|wed|thu|fri|sat|sun|\d{4}-\d\d-\d\d)$/D'),
            self::matching($stream->at('at'), '/^(?:[01]\d|2[0-3]):[0-5]\d$/D'),
            $stream->has('minutes') ? $stream->at('minutes')->whole(1, PlannedStream::LONGEST) : 180,
            $stream->has('title') ? $stream->at('title')->text(Limits::FIELD_TEXT) : '',
            $stream->has('category') ? $stream->at('category')->text(100) : '',
        );
    }

    private static function matching(Document $value, string $pattern): string
    {
        $text = $value->text(20);
        $isNoDay = strlen($text) >= 10 && Moment::fromIso(mb_substr($text, 0, 10)) === null;
        if ((preg_match($pattern, $text) !== 1 || $isNoDay) && $value->isText()) {
            $value->flaw(DocumentError::NotInPlan, ['value' => mb_substr($text, 0, 40)]);
        }

        return $text;
    }

    /** @return array<string, mixed> */
    public static function write(StreamPlan $plan): array
    {
        return array_filter([
            'streams' => array_map(
                static fn (PlannedStream $one): array => ['on' => $one->on, 'at' => $one->at]
                    + ($one->minutes === 180 ? [] : ['minutes' => $one->minutes])
                    + ($one->title === '' ? [] : ['title' => $one->title])
                    + ($one->category === '' ? [] : ['category' => $one->category]),
                $plan->streams,
            ),
            'days_off' => $plan->daysOff,
        ], static fn (array $part): bool => $part !== []);
    }
}
