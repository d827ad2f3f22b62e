<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Air\Streams\Grant;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\URL;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;

/** One's own account: name, address, password, and where one is signed in. */
final readonly class AccountController
{
    private const MINUTES = 60;

    public function __construct(private Sessions $sessions)
    {
    }

    public function show(Request $request, #[CurrentUser] User $user): View
    {
        return view('accounts.account', [
            'user' => $user,
            'sessions' => $this->sessions->of($user, $request->session()->getId()),
        ]);
    }

    public function name(AccountNameRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $user->update(['name' => $request->name()]);

        return $this->back('Your name is saved.');
    }

    /**
     * The address is taken when its owner opens the link that goes there; whether it is known here is told to nobody.
     */
    public function email(AccountEmailRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $email = $request->email();
        $link = URL::temporarySignedRoute('account.email.confirm', now()->addMinutes(self::MINUTES), [
            'email' => $email,
            'was' => $user->email,
        ], false);
        try {
            Notification::route('mail', $email)->notify(
                new AddressMail(rtrim(config()->string('app.url'), '/').$link),
            );
        } catch (TransportExceptionInterface $trouble) {
            report($trouble);

            return $this->back('The mail could not be sent, so your address stays as it is. Try again later.');
        }

        return $this->back("A link is on its way to $email. Your address changes when you open it.");
    }

    public function confirm(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $email = $request->string('email')->value();
        // The link is for whoever asked for it, and of no use once the address has changed.
        $isTheirs = $request->hasValidRelativeSignature() && $request->string('was')->value() === $user->email;
        if (! $isTheirs || User::query()->where('email', $email)->exists()) {
            return $this->back('That link is too old, or was used already. Ask for a new one.');
        }
        $user->update(['email' => $email]);

        return $this->back("Your address is $email now.");
    }

    public function password(AccountPasswordRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $user->update(['password' => $request->password()]);
        $this->endOthers($request, $user);

        return $this->back('Your password is saved, and you are signed out everywhere else.');
    }

    public function end(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $this->endOthers($request, $user);

        return $this->back('You are signed out everywhere else.');
    }

    public function dismissFirstSteps(#[CurrentUser] User $user): RedirectResponse
    {
        FirstStep::dismiss($user);

        return back();
    }

    private function endOthers(Request $request, User $user): void
    {
        $this->sessions->endOthers($user, $request->session()->getId());
        Grant::endAllOf($user->id);
        // This session goes on, with the password as it is now.
        Auth::login($user->refresh());
        $request->session()->put('password_hash_'.Auth::getDefaultDriver(), $user->getAuthPassword());
    }

    private function back(string $notice): RedirectResponse
    {
        return redirect()->route('account')->with('notice', $notice);
    }
}
