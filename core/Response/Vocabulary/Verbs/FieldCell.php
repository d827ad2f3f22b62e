<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Actions\HandOut;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\TypedMoment;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Goods;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Moments;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\YesNo;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Value;

/**
 * A field of one viewer, or how many of some goods they own. What does not fit its type is refused, and so is spending
 * what is not there.
 */
final readonly class FieldCell implements Assignable
{
    private function __construct(
        private Key $key,
        private Field $field,
        private string $what,
        private Person $person,
        private EvaluationContext $run,
    ) {
    }

    public static function ofField(Field $field, Person $person, EvaluationContext $run): self
    {
        return new self(Key::field($field->id, $person->id), $field, "viewer.{$field->name}", $person, $run);
    }

    /** Goods are counted as points are: whole, and never below none. */
    public static function ofGoods(Goods $goods, Person $person, EvaluationContext $run): self
    {
        return new self(
            Key::goods($goods->id, $person->id),
            new Field($goods->name, FieldType::Points),
            "goods.{$goods->name}",
            $person,
            $run,
        );
    }

    public function shift(int|Number $amount, Span $span): int|Number
    {
        if (! $this->field->type->isNumber()) {
            throw EvaluationFailure::notANumberField($this->field->name, $span);
        }
        $sum = Numbers::combine(Operation::Plus, Numbers::of($this->current() ?? 0), $amount);
        if ($sum instanceof Gap) {
            throw EvaluationFailure::gap($sum, $span);
        }
        $this->mustBeExact($sum, $span);
        $this->mustBeWithin($sum, $span);
        if ($this->field->type === FieldType::Points) {
            if (! is_int($amount)) {
                throw EvaluationFailure::notWhole($amount, $span);
            }
            if (is_int($sum) && $sum > Limits::COUNTER) {
                throw EvaluationFailure::tooMuch($this->field->name, Limits::COUNTER, $span);
            }
            if (! is_int($sum) || $sum < 0) {
                throw EvaluationFailure::notEnough(
                    $this->field->name,
                    Number::digits(Numbers::orZero($this->current())),
                    $span,
                );
            }
        }

        $isPoints = $this->field->type === FieldType::Points && $this->key->kind === Kind::Field;
        if ($isPoints && $amount > 0) {
            $this->run->change(HandOut::ever($this->field, $this->person, $amount));
        }

        return $this->keep(Numbers::orZero($sum), is_int($sum) && is_int($amount) ? $amount : null);
    }

    public function set(null|bool|int|string|Value $value, Span $span): bool|int|string|Value
    {
        return $this->keep(match ($this->field->type) {
            FieldType::Text => $this->text($value, $span),
            FieldType::YesNo => $this->yesOrNo($value, $span),
            FieldType::Moment => $this->moment($value, $span),
            FieldType::Number, FieldType::Points => $this->number($value, $span),
        });
    }

    private function yesOrNo(null|bool|int|string|Value $value, Span $span): bool
    {
        if ($value === null || is_bool($value)) {
            return $value ?? false;
        }
        if ($value instanceof Gap) {
            throw EvaluationFailure::gap($value, $span);
        }
        $language = $this->run->world->pack->channel->language;

        return (is_int($value) || is_string($value) ? YesNo::read($value, $language) : null)
            ?? throw EvaluationFailure::gap(
                new Gap(GapReason::WrongKind, ['text' => "“{$this->run->print($value)}”", 'wanted' => 'yes or no']),
                $span,
            );
    }

    public function clear(): void
    {
        $this->run->change(
            new Change($this->key, $this->run->memory()->value($this->key), null, $this->what, $this->person->login),
        );
    }

    /** @param  null|bool|int|string|array<string, mixed>  $kept */
    public static function read(Field $field, null|bool|int|string|array $kept): null|bool|int|string|Value
    {
        $kept = is_array($kept) ? null : $kept;
        if ($kept === null) {
            $kept = $field->start ?? ($field->type->isNumber() ? 0 : null);
        }

        return match (true) {
            $kept === null => null,
            $field->type->isNumber() => is_int($kept) ? $kept : Number::kept((string) $kept),
            $field->type === FieldType::Moment => Moment::fromIso((string) $kept),
            $field->type === FieldType::YesNo => is_bool($kept) ? $kept : $kept === 'yes',
            default => (string) $kept,
        };
    }

    private function current(): null|bool|int|string|Value
    {
        return self::read($this->field, $this->run->memory()->value($this->key));
    }

    /**
     * @template T of bool|int|string|Number|Moment
     *
     * @param  T  $value
     * @param  int|null  $added  null where it is set
     * @return T
     */
    private function keep(bool|int|string|Number|Moment $value, ?int $added = null): bool|int|string|Number|Moment
    {
        $kept = match (true) {
            $value instanceof Number => Number::digits($value),
            $value instanceof Moment => $value->iso(),
            default => $value,
        };
        $this->run->change(
            new Change(
                $this->key,
                $this->run->memory()->value($this->key),
                $kept,
                $this->what,
                $this->person->login,
                $added,
            ),
        );

        return $value;
    }

    /**
     * Whatever is kept is read back the same: a third, or a number of too many digits, is refused instead of kept by
     * halves.
     */
    private function mustBeExact(int|Number $number, Span $span): void
    {
        $kept = is_int($number) ? $number : Number::kept(Number::digits($number));
        if ($kept === null || Number::compare($kept, $number) !== 0) {
            throw EvaluationFailure::notKeptExactly($span);
        }
    }

    /** Points have limits of their own: none is below zero. */
    private function mustBeWithin(int|Number $number, Span $span): void
    {
        $limits = $this->field->limits;
        if ($this->field->type === FieldType::Number && ! $limits->admits($number)) {
            throw EvaluationFailure::outsideLimits($this->field->name, $number, $limits->inWords(), $span);
        }
    }

    private function text(null|bool|int|string|Value $value, Span $span): string
    {
        $text = $this->run->print($value);
        $longest = min($this->field->limits->longest, Limits::FIELD_TEXT);
        if (mb_strlen($text) > $longest) {
            throw EvaluationFailure::textTooLong($longest, $span);
        }

        return $text;
    }

    private function moment(null|bool|int|string|Value $value, Span $span): Moment
    {
        $channel = $this->run->world->pack->channel;
        $moment = is_string($value)
            ? TypedMoment::read($value, $channel, $this->run->world->now)
            : Moments::of($value, $this->run);

        return $moment instanceof Moment
            ? $moment
            : throw EvaluationFailure::notAMoment(
                $this->run->print($moment instanceof Gap ? null : $value),
                TypedMoment::example($channel),
                $span,
            );
    }

    private function number(null|bool|int|string|Value $value, Span $span): int|Number
    {
        $number = Numbers::of($value);
        if ($number instanceof Gap) {
            throw EvaluationFailure::gap($number, $span);
        }
        $this->mustBeExact($number, $span);
        $this->mustBeWithin($number, $span);
        if ($this->field->type === FieldType::Points && (! is_int($number) || $number < 0)) {
            throw is_int($number)
                ? EvaluationFailure::negative($number, $span)
                : EvaluationFailure::notWhole($number, $span);
        }

        return $number;
    }
}
