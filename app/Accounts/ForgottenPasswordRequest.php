<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;

/** Whose password is forgotten, as it was typed. */
final class ForgottenPasswordRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email', 'max:255']];
    }

    public function email(): string
    {
        return Str::lower($this->string('email')->value());
    }
}
