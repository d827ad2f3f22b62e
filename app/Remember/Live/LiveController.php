<?php

declare(strict_types=1);

namespace App\Remember\Live;

use App\Models\Channel;
use App\Models\LiveAddress;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\LiveAddresses;
use Closure;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Addresses that show a number or a text as it is now: made, looked at, replaced, deleted, and read by anybody. */
final readonly class LiveController
{
    public function __construct(private LiveText $live, private DefinitionHistory $history)
    {
    }

    public function index(Request $request, Channel $channel): View
    {
        return view('remember.live', [
            'channel' => $channel,
            'addresses' => $channel->liveAddresses()->orderBy('id')->get(),
            'shows' => mb_substr($request->string('shows')->value(), 0, 2_000),
            'live' => $this->live,
        ]);
    }

    public function store(LiveRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        // Its number is its name in the history, and comes with the row.
        $made = $channel->liveAddresses()->create(['token' => LiveAddresses::token()] + $request->state());
        $this->history->made($channel, new LiveAddresses, (string) $made->id, $user);

        return $this->back($channel, 'The address is made. Whoever knows it can read what it shows.');
    }

    public function update(
        LiveRequest $request,
        Channel $channel,
        LiveAddress $liveAddress,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $this->change($channel, $liveAddress, $user, static fn (): bool => $liveAddress->update($request->state()));

        return $this->back($channel, 'Saved; pages that are open follow.');
    }

    public function replace(Channel $channel, LiveAddress $liveAddress): RedirectResponse
    {
        $liveAddress->update(['token' => LiveAddresses::token()]);

        return $this->back($channel, 'It has another address now; the old one shows nothing any more.');
    }

    public function destroy(
        Channel $channel,
        LiveAddress $liveAddress,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $this->change($channel, $liveAddress, $user, static fn (): ?bool => $liveAddress->delete());

        return $this->back($channel, 'The address is deleted.');
    }

    /** For a stream picture: transparent, and following by itself. */
    public function page(Request $request, string $token): View
    {
        $address = self::address($token);
        $look = LiveLook::of($request->query() + $address->look);

        return view('remember.live-page', ['text' => $this->live->of($address), 'look' => $look, 'token' => $token]);
    }

    public function text(string $token): Response
    {
        $headers = ['Content-Type' => 'text/plain; charset=utf-8'];

        return response($this->live->of(self::address($token)), headers: $headers);
    }

    /** @param  Closure(): mixed  $do */
    private function change(Channel $channel, LiveAddress $address, User $user, Closure $do): void
    {
        $this->history->change($channel, new LiveAddresses, (string) $address->id, $user, null, $do);
    }

    private static function address(string $token): LiveAddress
    {
        return LiveAddress::query()->with('channel')->where('token', $token)->firstOrFail();
    }

    private function back(Channel $channel, string $notice): RedirectResponse
    {
        return redirect()->route('remember.live', $channel)->with('notice', $notice);
    }
}
