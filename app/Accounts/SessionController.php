<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Air\Streams\Grant;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Signing in and out. */
final class SessionController
{
    private const TRIES = 5;

    public function create(Request $request, Registration $registration): View
    {
        return view('accounts.sign-in', ['mayRegister' => $registration->mayRegister($request)]);
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate([
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:200'],
        ]);
        // By address and person: one cannot be locked out by a stranger elsewhere, nor try all persons from one place.
        $key = 'sign-in:'.Str::lower($request->string('email')->value()).'|'.$request->ip();
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw ValidationException::withMessages([
                'email' => 'Too many tries. Wait '.RateLimiter::availableIn($key).' seconds.',
            ]);
        }
        if (
            ! Auth::attempt(
                [
                    'email' => Str::lower($request->string('email')->value()),
                    'password' => $request->string('password')->value(),
                ],
                $request->boolean('remember'),
            )
        ) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['email' => 'That address and password do not belong together.']);
        }
        RateLimiter::clear($key);
        $request->session()->regenerate();

        return redirect()->intended(route('home'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Grant::end($request->session()->getId());
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
