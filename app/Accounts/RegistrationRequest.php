<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

/** A new account, as it was typed. */
final class RegistrationRequest extends FormRequest
{
    public function authorize(Registration $registration): bool
    {
        return $registration->mayRegister($this);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:200', 'confirmed', Password::min(10)],
        ];
    }
}
