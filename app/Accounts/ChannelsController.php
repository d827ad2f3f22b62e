<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use App\Storage\PackRows;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Chat\Channel;
use SilverParrot\Pack\Format\PackFormat;
use SilverParrot\Pack\Pack;

final class ChannelsController
{
    public function home(Request $request): RedirectResponse
    {
        $user = $request->user();
        $memberships = $user instanceof User ? $user->memberships()->with('channel')->orderBy('id')->limit(2)->get() : null;

        return match ($memberships?->count()) {
            null => redirect()->route('sign-in'),
            1 => redirect()->route('write', $memberships->firstOrFail()->channel),
            default => redirect()->route('channels'),
        };
    }

    public function index(#[\Illuminate\Container\Attributes\CurrentUser] User $user): View
    {
        return view('accounts.channels', ['memberships' => $user->memberships()->with('channel')->orderBy('id')->get()]);
    }

    public function store(Request $request, #[\Illuminate\Container\Attributes\CurrentUser] User $user, PackRows $rows): RedirectResponse
    {
        $request->validate([
            'name' => ['required', 'string', 'max:100'],
            'login' => ['required', 'string', 'regex:/^[A-Za-z0-9_]{3,25}$/', 'unique:channels,login'],
            'language' => ['required', 'string', 'regex:/^[A-Za-z]{2,3}(?:-[A-Za-z0-9]{2,8}){0,3}$/'],
            'zone' => ['required', 'timezone:all'],
        ], ['login.regex' => 'A login has 3 to 25 letters, digits and “_”.', 'login.unique' => 'That login is taken here.']);
        // Somebody to rehearse with is there from the first minute: the cast of the demo, without its commands.
        $demo = PackFormat::read((string) file_get_contents(base_path('docs/examples/lantern-cove.pack.json')))[0];
        $text = static fn (string $field): string => $request->string($field)->value();
        $core = Channel::of(strtolower($text('login')), $text('name'), $text('language'), $text('zone'));
        $channel = $rows->make(new Pack($core, cast: $demo->cast), $user, ['live' => true, 'started' => now()->subHour()->toIso8601ZuluString(), 'title' => $core->name, 'category' => 'Planking', 'viewers' => 12]);

        return redirect()->route('write', $channel);
    }
}
