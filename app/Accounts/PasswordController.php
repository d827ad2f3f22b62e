<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Air\Streams\Grant;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** A forgotten password: a link by mail, then a new one. */
final class PasswordController
{
    public function request(): View
    {
        return view('accounts.forgotten');
    }

    public function send(ForgottenPasswordRequest $request): RedirectResponse
    {
        // The mail goes when the answer is gone: neither the time it takes nor its trouble tells that the address is
        // known.
        Password::sendResetLink(['email' => $request->email()], static function (
            User $user,
            string $token,
        ): void {
            defer(static fn () => $user->sendPasswordResetNotification($token));
        });

        return back()->with('notice', 'If that address is known here, a link is on its way to it.');
    }

    public function edit(Request $request, string $token): View
    {
        return view('accounts.new-password', ['token' => $token, 'email' => $request->string('email')->value()]);
    }

    public function update(NewPasswordRequest $request): RedirectResponse
    {
        $status = Password::reset(
            $request->credentials(),
            static function (User $user, string $password): void {
                $user->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save();
                // Whoever was signed in with the old one is not any more, and reads along no further.
                Grant::endAllOf($user->id);
            },
        );
        if ($status !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages([
                'email' => 'That link is too old or was used already. Ask for a new one.',
            ]);
        }

        return redirect()->route('sign-in')->with('notice', 'The new password is set. Sign in with it.');
    }
}
