<?php

declare(strict_types=1);

namespace App\Remember;

use App\Border\OfItsChannel;
use App\Storage\Assembler;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** A counter's number, as it was put right. There are many on the page: each has a bag of errors of its own. */
final class CountRequest extends FormRequest
{
    use OfItsChannel;

    private const MESSAGE = 'This is not a whole number of at most 15 digits.';

    /** The errors of one number of a counter. */
    public static function bag(string $counter, string $owner): string
    {
        return "count $counter $owner";
    }

    protected function prepareForValidation(): void
    {
        $this->errorBag = self::bag($this->counter(), $this->owner());
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $most = Limits::COUNTER;

        return [
            'counter' => ['string'],
            'owner' => ['string'],
            'number' => ['bail', 'required', 'regex:/^\s*-?\d{1,15}\s*$/D', 'integer', "between:-$most,$most"],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['number.*' => self::MESSAGE];
    }

    /** @return list<Closure(Validator): void> what a counter does not go to is refused */
    public function after(Assembler $assembler): array
    {
        return [function (Validator $validator) use ($assembler): void {
            $counter = $assembler->names($this->channel())->counters[Fold::caseless($this->counter())] ?? null;
            $number = $this->integer('number');
            if ($counter !== null && ! $counter->changes->byHand) {
                $validator->errors()->add('number', "counter.{$counter->name} is changed by responses alone.");
            }
            if ($counter !== null && $validator->errors()->isEmpty() && $counter->within($number) !== $number) {
                $validator->errors()->add('number', "counter.{$counter->name} ".match (true) {
                    $counter->floor !== null && $number < $counter->floor => "never goes below {$counter->floor}.",
                    default => "never goes over {$counter->ceiling}.",
                });
            }
        }];
    }

    public function counter(): string
    {
        return $this->string('counter')->value();
    }

    /** @return string an owner's id */
    public function owner(): string
    {
        return $this->string('owner')->value();
    }
}
