<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Password;

final readonly class RegistrationController
{
    public function __construct(private Registration $registration)
    {
    }

    public function create(Request $request): View
    {
        return view($this->registration->mayRegister($request) ? 'accounts.register' : 'accounts.by-invitation');
    }

    public function store(Request $request): RedirectResponse
    {
        abort_unless($this->registration->mayRegister($request), 403);
        $request->validate([
            'name' => ['required', 'string', 'max:100'],
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:200', 'confirmed', Password::min(10)],
        ]);
        $this->registration->register(
            $request->string('name')->value(),
            $request->string('email')->value(),
            $request->string('password')->value(),
        );

        // Who has an account here is told to nobody.
        return redirect()
            ->route('sign-in')
            ->with(
                'notice',
                'Sign in with your new password. If that address was registered before, its old password still holds.',
            );
    }
}
