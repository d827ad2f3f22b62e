<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Who signs in, as it was typed. */
final class SignInRequest extends FormRequest
{
    private const TRIES = 5;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email', 'max:255'], 'password' => ['required', 'string', 'max:200']];
    }

    /**
     * By address and person: one cannot be locked out by a stranger elsewhere, nor try all persons from one place.
     *
     * @throws ValidationException beside the address
     */
    public function signIn(): void
    {
        $email = Str::lower($this->string('email')->value());
        $key = "sign-in:$email|".$this->ip();
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw ValidationException::withMessages([
                'email' => 'Too many tries. Wait '.RateLimiter::availableIn($key).' seconds.',
            ]);
        }
        $typed = ['email' => $email, 'password' => $this->string('password')->value()];
        if (! Auth::attempt($typed, $this->boolean('remember'))) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages([
                'email' => 'That address and password do not belong together.',
            ]);
        }
        RateLimiter::clear($key);
    }
}
