<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/**
 * A reading as it is kept, and handed from one process to another: texts, whole numbers, yes and no as they are, all
 * else as a text with a sign before it that no reading has.
 */
final class KeptReading
{
    private const SIGN = "\x1F";

    public static function of(null|bool|int|string|Value $value): null|bool|int|string
    {
        return match (true) {
            $value instanceof Number => self::SIGN.'number '.Number::digits($value),
            $value instanceof Moment => self::SIGN."moment {$value->millis}",
            $value instanceof TimeSpan => self::SIGN."span {$value->from->millis} {$value->to->millis}",
            $value instanceof ListValue => self::SIGN.'list '.json_encode(
                array_map(self::of(...), $value->items),
                JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
            ),
            $value instanceof Gap => self::SIGN."gap {$value->reason->value} "
                .json_encode((object) $value->data, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
            $value instanceof Value => null,
            default => $value,
        };
    }

    public static function value(null|bool|int|string $kept): null|bool|int|string|Value
    {
        if (! is_string($kept) || ! str_starts_with($kept, self::SIGN)) {
            return $kept;
        }
        [$kind, $rest] = explode(' ', ltrim($kept, self::SIGN), 2) + [1 => ''];
        $parts = explode(' ', $rest, 2);

        return match ($kind) {
            'number' => Number::kept($rest),
            'moment' => new Moment((int) $rest),
            'span' => TimeSpan::between(new Moment((int) $parts[0]), new Moment((int) ($parts[1] ?? 0))),
            'list' => new ListValue(array_map(self::value(...), array_values(self::scalars($rest)))),
            'gap' => self::gap($parts[0], $parts[1] ?? ''),
            default => null,
        };
    }

    private static function gap(string $reason, string $data): Gap
    {
        return new Gap(
            GapReason::tryFrom($reason) ?? GapReason::LookupDown,
            array_filter(self::scalars($data), is_string(...)),
        );
    }

    /** @return array<string, null|bool|int|string> */
    private static function scalars(string $json): array
    {
        $read = json_decode($json, true);
        $scalars = [];
        foreach (is_array($read) ? $read : [] as $key => $value) {
            if ($value === null || is_bool($value) || is_int($value) || is_string($value)) {
                $scalars[(string) $key] = $value;
            }
        }

        return $scalars;
    }
}
