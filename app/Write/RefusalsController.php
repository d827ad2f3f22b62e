<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\RefusalReplies;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** What is said where a gate is closed, of all commands that have no reply of their own for it. */
final class RefusalsController
{
    public function __invoke(
        RefusalsRequest $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $history->change(
            $channel,
            new RefusalReplies,
            '',
            $user,
            $request->integer('seen'),
            static fn () => $channel->update(['refusals' => (object) $request->texts()]),
        );

        return redirect()
            ->route('write', $channel)
            ->with('notice', 'Saved in the draft; publish it to put it on the air.');
    }
}
