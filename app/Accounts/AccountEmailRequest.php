<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;

/** A new address of one's own, with the password that proves whose account it is. */
final class AccountEmailRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:255'],
            'password_for_email' => ['required', 'string', 'max:200', 'current_password'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['password_for_email.*' => 'Enter the password you sign in with now.'];
    }

    public function email(): string
    {
        return Str::lower($this->string('email')->value());
    }
}
