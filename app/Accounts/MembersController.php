<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Channel;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Members;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Notification;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;

/** Who is in a channel, and letting more people in. */
final class MembersController
{
    public function index(Channel $channel): View
    {
        return view('accounts.members', [
            'channel' => $channel,
            'memberships' => $channel->memberships()->with('user')->orderBy('id')->get(),
            'invitations' => $channel->invitations()->where('expires_at', '>', now())->orderBy('id')->get(),
        ]);
    }

    /**
     * A link that lets in whoever holds it. Whether somebody has an account here is told to nobody, the streamer
     * neither.
     */
    public function store(
        InvitationRequest $request,
        Channel $channel,
        Invitations $invitations,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $role = $request->role();
        $link =
            rtrim(config()->string('app.url'), '/')
            .route('invitation', $invitations->issue($channel, $role, $user), false);
        $email = $request->email();
        $notice =
            $email === ''
                ? 'The invitation is ready: share its link.'
                : $this->mail($email, new InvitationMail($channel->name, $role->value, $link));

        return redirect()
            ->route('members', $channel)
            ->withInput($request->only('role'))
            ->with('link', $link)
            ->with('notice', $notice);
    }

    private function mail(string $email, InvitationMail $mail): string
    {
        try {
            Notification::route('mail', $email)->notify($mail);
        } catch (TransportExceptionInterface $trouble) {
            report($trouble);

            return 'The mail could not be sent. The invitation is ready: share its link.';
        }

        return "The invitation was sent to {$email}.";
    }

    public function withdraw(Channel $channel, Invitation $invitation): RedirectResponse
    {
        $channel->invitations()->whereKey($invitation->id)->delete();

        return redirect()->route('members', $channel)->with('notice', 'The invitation was withdrawn.');
    }

    public function destroy(
        Channel $channel,
        Membership $membership,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        if ($membership->role === Role::Streamer) {
            return redirect()->route('members', $channel)->with('notice', 'The streamer stays.');
        }
        $history->change(
            $channel,
            new Members,
            (string) $membership->user_id,
            $user,
            null,
            static fn () => $channel->memberships()->whereKey($membership->id)->delete(),
        );

        return redirect()->route('members', $channel)->with('notice', 'They were removed.');
    }
}
