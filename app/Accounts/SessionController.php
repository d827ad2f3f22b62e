<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Air\Streams\Grant;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Signing in and out. */
final class SessionController
{
    public function create(Request $request, Registration $registration): View
    {
        return view('accounts.sign-in', ['mayRegister' => $registration->mayRegister($request)]);
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        $request->signIn();
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
