<?php

declare(strict_types=1);

namespace App\Remember\Lists;

use App\Border\OfItsChannel;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use SilverParrot\Format\WeightedTextFormat;
use SilverParrot\Source\Limits;

/** What is done with one item of a list. */
final class ItemRequest extends FormRequest
{
    use OfItsChannel;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'do' => ['required', Rule::in(['save', 'on', 'off', 'up', 'down', 'delete'])],
            'text' => ['required_if:do,save', 'nullable', 'string', 'max:'.Limits::SOURCE],
            'weight' => ['nullable', 'integer', 'between:1,'.WeightedTextFormat::HEAVIEST],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required_if' => 'Enter the text; to be rid of it, delete it.',
            'weight.*' => 'A weight is a whole number from 1 to '.number_format(WeightedTextFormat::HEAVIEST).'.',
        ];
    }

    protected function getRedirectUrl(): string
    {
        return route('remember.list', [
            $this->channel(),
            $this->route('stable'),
            'edit' => $this->route('item'),
            'find' => $this->query('find'),
        ]);
    }
}
