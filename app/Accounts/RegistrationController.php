<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rules\Password;

final class RegistrationController
{
    public function create(): View
    {
        return view('accounts.register');
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate([
            'name' => ['required', 'string', 'max:100'],
            'email' => ['required', 'string', 'email', 'max:255', 'unique:users,email'],
            'password' => ['required', 'confirmed', Password::min(10)],
        ]);
        Auth::login(User::query()->create(['name' => $request->string('name')->value(), 'email' => $request->string('email')->value(), 'password' => $request->string('password')->value()]));
        $request->session()->regenerate();

        return redirect()->route('channels');
    }
}
