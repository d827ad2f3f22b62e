<?php

declare(strict_types=1);

namespace App\Write;

use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Pack\Flood;

/** How often the parrot answers at most, as it was typed. */
final class FloodRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $count = ['bail', 'required', 'regex:/^\s*\d{1,4}\s*$/D', 'integer', 'between:0,'.Flood::MOST];

        return ['person' => $count, 'channel' => $count, 'seen' => ['integer']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $is = 'This is no number of answers: a whole number from 0 (no limit) to '.Flood::MOST.'.';

        return ['required' => $is, 'regex' => $is, 'integer' => $is, 'between' => $is];
    }
}
