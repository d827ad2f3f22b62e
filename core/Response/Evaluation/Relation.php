<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Quote;
use SilverParrot\Source\Fold;
use SilverParrot\Value\LengthOfTime;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** How two values can stand to each other. With nothing, everything is no (`is nothing` is asked elsewhere). */
enum Relation: string
{
    case Is = 'is';
    case Less = '<';
    case AtMost = '<=';
    case Greater = '>';
    case AtLeast = '>=';
    case Contains = 'contains';
    case StartsWith = 'starts with';
    case EndsWith = 'ends with';

    public function holds(
        null|bool|int|string|Value $left,
        null|bool|int|string|Value $right,
        EvaluationContext $run,
    ): bool {
        if ($left === null || $right === null) {
            return false;
        }

        // A quote is what was said, and so is what a fact says.
        $left = self::plain($left);
        $right = self::plain($right);

        return match ($this) {
            self::Is => self::same($left, $right, $run),
            self::Less, self::AtMost, self::Greater, self::AtLeast => $this->ordered($left, $right, $run),
            self::Contains => $left instanceof ListValue
                ? array_filter(
                    $left->items,
                    static fn (null|bool|int|string|Value $item): bool => $item !== null
                        && self::same($item, $right, $run),
                ) !== []
                : str_contains(self::text($left, $run), self::text($right, $run)),
            self::StartsWith => str_starts_with(self::text($left, $run), self::text($right, $run)),
            self::EndsWith => str_ends_with(self::text($left, $run), self::text($right, $run)),
        };
    }

    private static function plain(bool|int|string|Value $value): bool|int|string|Value
    {
        return match (true) {
            $value instanceof Quote => $value->text,
            $value instanceof Said => $value->rendered->text,
            default => $value,
        };
    }

    private static function same(
        bool|int|string|Value $left,
        bool|int|string|Value $right,
        EvaluationContext $run,
    ): bool {
        if (is_string($left) && is_string($right)) {
            return Fold::caseless(trim($left)) === Fold::caseless(trim($right));
        }
        if ($left instanceof Person || $right instanceof Person) {
            // By login, never by display name, which anybody may choose.
            return self::login($left) !== null && self::login($left) === self::login($right);
        }
        if (is_bool($left) || is_bool($right)) {
            return $left === $right || self::isSaidAs($left, $right, $run) || self::isSaidAs($right, $left, $run);
        }
        if ($left instanceof Level || $right instanceof Level) {
            return self::level($left) !== null && self::level($left) === self::level($right);
        }
        $order = self::order($left, $right, $run);

        return $order === 0;
    }

    /** Whether a text is how a yes or a no is said: in the channel's language, or by “yes” and “no”. */
    private static function isSaidAs(
        bool|int|string|Value $value,
        bool|int|string|Value $text,
        EvaluationContext $run,
    ): bool {
        $words = is_bool($value) ? [$run->print($value), $value ? 'yes' : 'no'] : [];

        return is_string($text)
            && in_array(Fold::caseless(trim($text)), array_map(Fold::caseless(...), $words), true);
    }

    private function ordered(bool|int|string|Value $left, bool|int|string|Value $right, EvaluationContext $run): bool
    {
        $order =
            $left instanceof Level || $right instanceof Level
                ? self::orderOfLevels(self::level($left), self::level($right))
                : self::order($left, $right, $run);

        return $order !== null && match ($this) {
            self::Less => $order < 0,
            self::AtMost => $order <= 0,
            self::Greater => $order > 0,
            default => $order >= 0,
        };
    }

    private static function orderOfLevels(?Level $left, ?Level $right): ?int
    {
        return $left === null || $right === null ? null : $left->value <=> $right->value;
    }

    /** @return int|null null where the two cannot be set in order */
    private static function order(
        bool|int|string|Value $left,
        bool|int|string|Value $right,
        EvaluationContext $run,
    ): ?int {
        if ($left instanceof Moment || $right instanceof Moment) {
            $from = is_string($left) || $left instanceof Moment ? Moments::of($left, $run) : null;
            $to = is_string($right) || $right instanceof Moment ? Moments::of($right, $run) : null;

            return $from instanceof Moment && $to instanceof Moment ? $from->millis <=> $to->millis : null;
        }
        if ($left instanceof TimeSpan || $right instanceof TimeSpan) {
            return self::orderOfLengths($left, $right, $run->world->pack->channel->zone);
        }
        $a = is_string($left) ? Number::typed($left) : $left;
        $b = is_string($right) ? Number::typed($right) : $right;

        return (is_int($a) || $a instanceof Number) && (is_int($b) || $b instanceof Number)
            ? Number::compare($a, $b)
            : null;
    }

    private static function login(bool|int|string|Value $value): ?string
    {
        if ($value instanceof Person) {
            return $value->login;
        }

        return is_string($value) ? Fold::caseless(ltrim(trim($value), '@')) : null;
    }

    /** Spans by their length; with a written one by the calendar, from where the span begins. */
    private static function orderOfLengths(
        bool|int|string|Value $left,
        bool|int|string|Value $right,
        \DateTimeZone $zone,
    ): ?int {
        if ($left instanceof TimeSpan && $right instanceof TimeSpan) {
            return $left->millis() <=> $right->millis();
        }
        [$span, $text, $way] = $left instanceof TimeSpan ? [$left, $right, 1] : [$right, $left, -1];
        $length = is_string($text) ? LengthOfTime::typed($text) : null;

        return $length === null || ! $span instanceof TimeSpan
            ? null
            : $way * ($span->to->millis <=> $length->after($span->from, $zone)->millis);
    }

    private static function level(bool|int|string|Value $value): ?Level
    {
        if ($value instanceof Level) {
            return $value;
        }

        return is_string($value) ? Level::named($value) : null;
    }

    private static function text(bool|int|string|Value $value, EvaluationContext $run): string
    {
        return Fold::caseless($value instanceof Person ? $value->login : $run->print($value));
    }
}
