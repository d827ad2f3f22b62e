<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use App\Storage\PackRepository;
use Closure;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Chat\Channel;
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

    /**
     * @param  Closure(string): bool  $isKnown
     * @return Closure(string, mixed, Closure(string): mixed): void
     */
    private static function known(Closure $isKnown, string $problem): Closure
    {
        return static function (string $field, mixed $value, Closure $fail) use ($isKnown, $problem): void {
            if (! is_string($value) || ! $isKnown($value)) {
                $fail($problem);
            }
        };
    }

    public function store(
        Request $request,
        #[\Illuminate\Container\Attributes\CurrentUser] User $user,
        PackRepository $rows,
    ): RedirectResponse {
        $request->validate(
            [
                'name' => ['required', 'string', 'max:100'],
                'login' => ['required', 'string', 'regex:/^[A-Za-z0-9_]{3,25}$/', 'unique:channels,login'],
                'language' => [
                    'required',
                    'string',
                    self::known(Languages::isKnown(...), 'That language is not known here. Choose one of the list.'),
                ],
                'zone' => [
                    'required',
                    'string',
                    self::known(Zones::isKnown(...), 'That time zone is not known here. Choose one of the list.'),
                ],
            ],
            [
                'login.regex' => 'A login has 3 to 25 letters, digits and “_”.',
                'login.unique' => 'That login is taken here.',
            ],
        );
        // Somebody to rehearse with is there from the first minute: the cast of the demo, without its commands.
        $demo = PackFormat::read((string) file_get_contents(base_path('docs/examples/lantern-cove.pack.json')))[0];
        $text = static fn (string $field): string => $request->string($field)->value();
        $core = Channel::of(strtolower($text('login')), $text('name'), $text('language'), $text('zone'));
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
