<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

/** A new password of one's own, with the one there is. */
final class AccountPasswordRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'current_password' => ['required', 'string', 'max:200', 'current_password'],
            'password' => ['required', 'string', 'max:200', 'confirmed', Password::min(10)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['current_password.*' => 'Enter the password you sign in with now.'];
    }

    public function password(): string
    {
        return $this->string('password')->value();
    }
}
