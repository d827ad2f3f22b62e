<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What an invitation's link leads to. Looking at it uses nothing up; only joining does. */
final readonly class InvitationController
{
    public function __construct(private Invitations $invitations)
    {
    }

    public function show(Request $request, string $token, Registration $registration): View|Response
    {
        $invitation = $this->invitations->find($token);
        if ($invitation === null) {
            return response(view('accounts.invitation-over'), Response::HTTP_NOT_FOUND);
        }
        if ($request->user() === null) {
            // Signing in, or registering, leads back here.
            redirect()->setIntendedUrl(route('invitation', $token));
            $registration->allow($request, $token);
        }

        return view('accounts.invitation', ['invitation' => $invitation, 'token' => $token]);
    }

    public function accept(string $token, #[CurrentUser] User $user): RedirectResponse
    {
        $channel = $this->invitations->accept($token, $user);

        return $channel === null
            ? redirect()
                ->route('channels')
                ->with('notice', 'That invitation was used already, or is too old. Ask for another one.')
            : redirect()
                ->route('write', $channel)
                ->with('notice', "You are in {$channel->name} now.");
    }
}
