<?php

declare(strict_types=1);

namespace App\Publish;

use Illuminate\Foundation\Http\FormRequest;

/** For how many days lines are kept, as it was typed. */
final class KeepingRequest extends FormRequest
{
    private const MOST_DAYS = 365;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'keep_days' => ['bail', 'required', 'regex:/^\s*\d{1,3}\s*$/D', 'integer', 'between:1,'.self::MOST_DAYS],
            'seen' => ['integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['keep_days.*' => 'Lines are kept for 1 to '.self::MOST_DAYS.' days.'];
    }
}
