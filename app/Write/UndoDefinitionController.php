<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\DefinitionChange;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** Takes a change back that somebody made to what is no command. */
final class UndoDefinitionController
{
    public function __invoke(
        Channel $channel,
        DefinitionChange $definitionChange,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $kind = DefinitionHistory::kind($definitionChange->kind);
        abort_if(
            $kind === null || ($kind->isForTheStreamer() && $user->cannot('manage', $channel)),
            Response::HTTP_FORBIDDEN,
        );
        $isBack = $history->undo($channel, $definitionChange, $user);
        LookThrough::dispatch($channel->id);

        return back(fallback: route('write', $channel))->with(
            'notice',
            $isBack
                ? 'Undone.'
                : 'It has changed again since, so nothing was taken back; undo the later change first.',
        );
    }
}
