<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use App\Storage\PackRepository;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Chat\Languages;
use SilverParrot\Chat\Zones;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Pack;

final class ChannelsController
{
    public function home(Request $request): RedirectResponse
    {
        $user = $request->user();
        $memberships =
            $user instanceof User ? $user->memberships()->with('channel')->orderBy('id')->limit(2)->get() : null;

        return match ($memberships?->count()) {
            null => redirect()->route('sign-in'),
            1 => redirect()->route('write', $memberships->firstOrFail()->channel),
            default => redirect()->route('channels'),
        };
    }

    public function index(#[\Illuminate\Container\Attributes\CurrentUser] User $user): View
    {
        return view('accounts.channels', [
            'memberships' => $user->memberships()->with('channel')->orderBy('id')->get(),
            'languages' => Languages::all(),
            'zones' => Zones::all(),
        ]);
    }

    public function store(
        NewChannelRequest $request,
        #[\Illuminate\Container\Attributes\CurrentUser] User $user,
        PackRepository $rows,
    ): RedirectResponse {
        // Somebody to rehearse with is there from the first minute: the cast of the demo, without its commands.
        $demo = PackFormat::read((string) file_get_contents(base_path('docs/examples/lantern-cove.pack.json')))[0];
        $core = $request->channel();
        $channel = $rows->make(new Pack($core, cast: $demo->cast), $user, [
            'live' => true,
            'started' => now()->subHour()->toIso8601ZuluString(),
            'title' => $core->name,
            'category' => 'Planking',
            'viewers' => 12,
        ]);

        return redirect()->route('write', $channel);
    }
}
