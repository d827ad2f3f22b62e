<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\ChangedMeanwhile;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Limits;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Pack\Flood;

/** How often the parrot answers at most, over all commands. */
final class FloodController
{
    public function __invoke(
        Request $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $typed = [];
        foreach (['person', 'channel'] as $name) {
            $typed[$name] = trim($request->string($name)->value());
            if (preg_match('/^\d{1,4}$/D', $typed[$name]) !== 1 || (int) $typed[$name] > Flood::MOST) {
                return redirect()
                    ->route('write', $channel)
                    ->withInput()
                    ->with(
                        'notice',
                        "“{$typed[$name]}” is no number of answers: a whole number from 0 (no limit) to "
                            .Flood::MOST
                            .'. Nothing was changed.',
                    );
            }
        }
        try {
            $history->change(
                $channel,
                new Limits,
                '',
                $user,
                $request->integer('seen'),
                static fn () => $channel->update([
                    'flood_person' => (int) $typed['person'],
                    'flood_channel' => (int) $typed['channel'],
                ]),
            );
        } catch (ChangedMeanwhile) {
            return redirect()->route('write', $channel)->withInput()->with('notice', ChangedMeanwhile::NOTICE);
        }

        return redirect()
            ->route('write', $channel)
            ->with('notice', 'So it is in the draft; the air follows with the next edition.');
    }
}
