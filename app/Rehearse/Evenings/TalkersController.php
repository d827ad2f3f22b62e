<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Talkers;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Source\Fold;

/** An account that talks by itself is not listened to from here on. */
final class TalkersController
{
    public function __invoke(
        Request $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $login = mb_substr(Fold::caseless($request->string('login')->trim()->value()), 0, 60);
        $isFull = count($channel->talkers) >= Talkers::MOST;
        if ($login === '' || $isFull || in_array($login, $channel->talkers, true)) {
            return back()->with('notice', $isFull ? 'So many talk by themselves already.' : 'It is known already.');
        }
        $history->change(
            $channel,
            new Talkers,
            '',
            $user,
            null,
            static fn () => $channel->update(['talkers' => [...$channel->talkers, $login]]),
        );

        return back()->with('notice', "The draft does not listen to $login; publish it to put it on the air.");
    }
}
