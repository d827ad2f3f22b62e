<?php

declare(strict_types=1);

namespace App\Remember;

use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Source\Limits;

/** A counter's number, as it was put right. There are many on the page: each has a bag of errors of its own. */
final class CountRequest extends FormRequest
{
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
