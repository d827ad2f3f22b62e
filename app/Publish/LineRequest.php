<?php

declare(strict_types=1);

namespace App\Publish;

use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Source\Limits;

/** A line for the real chat, as it was typed. */
final class LineRequest extends FormRequest
{
    private const LONGEST = 500;

    protected function prepareForValidation(): void
    {
        $this->merge(['text' => $this->text()]);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:'.self::LONGEST],
            'as' => ['required', 'string', 'max:'.Limits::NAME],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required' => 'Write something first.',
            'text.max' => 'A line has at most '.self::LONGEST.' characters; this one has '.mb_strlen($this->text()).'.',
            'as.*' => 'Choose who says it.',
        ];
    }

    public function text(): string
    {
        return $this->string('text')->trim()->value();
    }

    public function as(): string
    {
        return $this->string('as')->value();
    }
}
