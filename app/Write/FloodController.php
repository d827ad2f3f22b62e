<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\FloodLimits;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** How often the parrot answers at most, over all commands. */
final class FloodController
{
    public function __invoke(
        FloodRequest $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $history->change(
            $channel,
            new FloodLimits,
            '',
            $user,
            $request->integer('seen'),
            static fn () => $channel->update([
                'flood_person' => $request->integer('person'),
                'flood_channel' => $request->integer('channel'),
            ]),
        );

        return redirect()
            ->route('write', $channel)
            ->with('notice', 'Saved in the draft; publish it to put it on the air.');
    }
}
