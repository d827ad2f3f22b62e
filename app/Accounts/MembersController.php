<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Channel;
use App\Models\Membership;
use App\Models\Role;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

final class MembersController
{
    public function index(Channel $channel): View
    {
        return view('accounts.members', ['channel' => $channel, 'memberships' => $channel->memberships()->with('user')->orderBy('id')->get()]);
    }

    public function store(Request $request, Channel $channel): RedirectResponse
    {
        $request->validate(['email' => ['required', 'string', 'email'], 'role' => ['required', Rule::enum(Role::class)->except(Role::Streamer)]]);
        $user = User::query()->where('email', $request->string('email')->value())->first();
        if ($user === null) {
            throw ValidationException::withMessages(['email' => 'Nobody here has that address. They register first, then you let them in.']);
        }
        if ($user->roleIn($channel) === Role::Streamer) {
            throw ValidationException::withMessages(['email' => 'That is the streamer.']);
        }
        Membership::query()->updateOrCreate(['channel_id' => $channel->id, 'user_id' => $user->id], ['role' => $request->enum('role', Role::class)]);

        return back()->with('notice', "{$user->name} is in.");
    }

    public function destroy(Channel $channel, Membership $membership): RedirectResponse
    {
        if ($membership->role === Role::Streamer) {
            return back()->with('notice', 'The streamer stays.');
        }
        $channel->memberships()->whereKey($membership->id)->delete();

        return back()->with('notice', 'They are out.');
    }
}
