<?php

declare(strict_types=1);

namespace App\Remember\Viewers;

use App\Border\OfItsChannel;
use App\Storage\Assembler;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Response;
use Illuminate\Validation\Validator;
use SilverParrot\Chat\TypedMoment;
use SilverParrot\Checks\FieldRecord;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Response\Evaluation\YesNo;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;

/** What one viewer's field is to hold, as it was typed. Empty is as if it had never been set. */
final class FieldValueRequest extends FormRequest
{
    use OfItsChannel;

    private ?Field $asked = null;

    /** The errors of one field of the page. */
    public static function bag(string $field): string
    {
        return "field $field";
    }

    protected function prepareForValidation(): void
    {
        $this->errorBag = self::bag($this->string('field')->value());
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['field' => ['string'], 'value' => ['nullable', 'string', 'max:'.Limits::FIELD_TEXT]];
    }

    /** @return list<Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            [$field, $kept] = [$this->field(), $this->kept()];
            $why = match (true) {
                ! $field->changes->byHand => 'It is set by responses alone.',
                $this->typed() !== '' && $kept !== null && ! FieldRecord::fits($field, (string) $kept) => 'It must be '
                    .'a '.FieldRecord::typeOf($field).'.',
                default => null,
            };
            if ($why !== null) {
                $validator->errors()->add('value', $why);
            } elseif ($this->typed() !== '' && $kept === null) {
                $validator->errors()->add('value', match ($field->type) {
                    FieldType::Points => 'Points are a whole number, and never below 0.',
                    FieldType::Number => 'This is not a number of at most 15 digits.',
                    FieldType::YesNo => 'Write yes or no.',
                    default => 'This is not a moment; write it like “10 days ago” or “'
                        .TypedMoment::example(Assembler::channel($this->channel())).'”.',
                });
            }
        }];
    }

    public function field(): Field
    {
        $id = Fold::caseless($this->string('field')->value());
        foreach ($this->asked === null ? (new Assembler)->names($this->channel())->fields : [] as $field) {
            $this->asked = Fold::caseless($field->id) === $id ? $field : $this->asked;
        }

        return $this->asked ?? abort(Response::HTTP_NOT_FOUND);
    }

    public function kept(): null|bool|int|string
    {
        [$typed, $channel] = [$this->typed(), Assembler::channel($this->channel())];
        if ($typed === '') {
            return null;
        }
        $number = Number::typed($typed);

        return match ($this->field()->type) {
            FieldType::Points => is_int($number) && $number >= 0 ? $number : null,
            FieldType::Number => $number instanceof Number ? Number::digits($number) : $number,
            FieldType::YesNo => YesNo::read($typed, $channel->language),
            FieldType::Moment => TypedMoment::read($typed, $channel, Moment::of(now()))?->iso(),
            FieldType::Text => $typed,
        };
    }

    private function typed(): string
    {
        return $this->string('value')->trim()->value();
    }
}
