<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rules\Password;

/** A new password, with the token of the link that leads to it. */
final class NewPasswordRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string'],
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:200', 'confirmed', Password::min(10)],
        ];
    }

    /** @return array<string, string> */
    public function credentials(): array
    {
        $text = fn (string $name): string => $this->string($name)->value();

        return [
            'token' => $text('token'),
            'email' => Str::lower($text('email')),
            'password' => $text('password'),
            'password_confirmation' => $text('password_confirmation'),
        ];
    }
}
