<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\ExpectationRow;
use App\Storage\CommandRepository;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** "This is right": keeps the answer to a line of the simulated chat. */
final class ExpectationController
{
    public function store(
        Request $request,
        Channel $channel,
        TryChat $try,
        CommandRepository $rows,
        Expectations $expectations,
    ): Response {
        [$draft, $row] = TryController::draft($request, $channel);
        $kept = $try->expectation(
            $channel,
            TryState::read($request, $channel->seed),
            max(0, min(TryState::MOST, $request->integer('index'))),
            $draft?->command,
            $row?->trigger,
        );
        // The answer may have come from another command than the one on the page.
        $folded = Fold::caseless($kept->trigger ?? '');
        $owner = match (true) {
            $kept === null => null,
            Fold::caseless($draft->command->trigger ?? '') === $folded && $row !== null => $row,
            default => $channel->commands()->where('trigger_folded', $folded)->first(),
        };
        if ($kept === null || $owner === null || $owner->expectations()->count() >= Limits::EXPECTATIONS) {
            return response()->noContent(Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $rows->expect($owner, $kept->expectation);

        return $this->answer($channel, $row ?? $owner, $expectations, $owner->trigger);
    }

    public function destroy(
        Channel $channel,
        CommandRow $command,
        ExpectationRow $expectation,
        Expectations $expectations,
    ): Response {
        $command->expectations()->whereKey($expectation->id)->delete();

        return $this->answer($channel, $command, $expectations, '');
    }

    private function answer(
        Channel $channel,
        CommandRow $command,
        Expectations $expectations,
        string $keptWith,
    ): Response {
        return response(
            view('rehearse.partials.expectations', [
                'channel' => $channel,
                'row' => $command,
                'holdings' => $expectations->check($channel, $command),
                'keptWith' => $keptWith,
            ]),
        );
    }
}
