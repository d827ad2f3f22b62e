<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final readonly class RegistrationController
{
    public function __construct(private Registration $registration)
    {
    }

    public function create(Request $request): View
    {
        return view($this->registration->mayRegister($request) ? 'accounts.register' : 'accounts.by-invitation');
    }

    public function store(RegistrationRequest $request): RedirectResponse
    {
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
