<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class SignInLinkController
{
    public function __invoke(Request $request, SignInLinks $links, string $token): RedirectResponse
    {
        // Whoever only asks whether the link is there (programs do, before a person opens it) uses nothing up.
        $user = $request->isMethod('HEAD') ? null : $links->redeem($token);
        if ($user === null) {
            return redirect()
                ->route('sign-in')
                ->with('notice', 'That sign-in link has been used or is too old. “bin/parrot up” prints a new one.');
        }
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('home');
    }
}
