<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Write\Findings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** How much waits in which room: small numbers on the tabs, which fill in by themselves. */
final class WaitingController
{
    public function __invoke(
        Request $request,
        Channel $channel,
        WaitingChanges $waiting,
        Findings $findings,
    ): JsonResponse {
        $changes = $waiting->in($channel);
        $command = $channel->commands()->whereKey($request->integer('command'))->first();

        return response()->json([
            'changes' => count($changes),
            'findings' => $findings->of($channel)->count(),
            'isWaiting' => $command !== null && in_array($command->stable_id, $changes, true),
        ]);
    }
}
