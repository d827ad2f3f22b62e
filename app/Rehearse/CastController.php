<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\CastMemberRow;
use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\Cast;
use App\Storage\Definitions\DefinitionHistory;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The simulated people: adding, changing, removing them. */
final readonly class CastController
{
    public function __construct(private DefinitionHistory $history)
    {
    }

    public function create(Channel $channel): View
    {
        return view('rehearse.partials.person', ['channel' => $channel, 'person' => null]);
    }

    public function edit(Channel $channel, CastMemberRow $castMember): View
    {
        return view('rehearse.partials.person', ['channel' => $channel, 'person' => $castMember]);
    }

    public function store(CastRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $last = $channel->castMembers()->reorder()->orderByDesc('position')->first();
        $this->enter($channel, ['position' => ($last->position ?? 0) + 1] + $request->columns(), $user);

        return $this->back($channel, $request->string('name')->value() ?: $request->string('login')->value(), 'added');
    }

    public function update(
        CastRequest $request,
        Channel $channel,
        CastMemberRow $castMember,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $columns = $request->columns();
        $login = $castMember->login;
        if ($columns['login'] === $login) {
            $this->change($channel, $login, $user, static fn () => $castMember->update($columns));
        } else {
            // Another login is somebody else for what is remembered: one goes, and one comes.
            $this->change($channel, $login, $user, static fn () => $castMember->delete());
            $this->enter($channel, ['position' => $castMember->position] + $columns, $user);
        }

        return $this->back($channel, $request->string('name')->value() ?: $request->string('login')->value(), 'saved');
    }

    public function destroy(Channel $channel, CastMemberRow $castMember, #[CurrentUser] User $user): RedirectResponse
    {
        $this->change($channel, $castMember->login, $user, static fn () => $castMember->delete());

        return $this->back($channel, $castMember->name, 'removed');
    }

    /** @param  array<string, mixed>  $columns */
    private function enter(Channel $channel, array $columns, User $user): void
    {
        $login = is_string($columns['login'] ?? null) ? $columns['login'] : '';
        $this->change($channel, $login, $user, static fn () => $channel->castMembers()->create($columns));
    }

    /** @param  \Closure(): mixed  $do */
    private function change(Channel $channel, string $login, User $user, \Closure $do): void
    {
        $this->history->change($channel, new Cast, $login, $user, null, $do);
    }

    private function back(Channel $channel, string $name, string $done): RedirectResponse
    {
        return redirect()->route('rehearse', $channel)->with('notice', "{$name} was {$done}.");
    }
}
