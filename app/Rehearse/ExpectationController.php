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

/** Keeps the answer to a line of the simulated chat as what is expected. Silence can be expected too. */
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
        if ($kept === null || $owner === null) {
            return response()->noContent(Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $isFull = false;
        if (! $expectations->isKept($owner, $kept->expectation)) {
            $isFull = $owner->expectations()->count() >= Limits::EXPECTATIONS;
            $isFull || $rows->expect($owner, $kept->expectation);
        }

        return response(view('rehearse.partials.kept', [
            'channel' => $channel,
            'owner' => $owner,
            'isFull' => $isFull,
            'row' => $row,
            'holdings' => $row === null ? [] : $expectations->check($channel, $row, $draft?->command),
        ]));
    }

    public function destroy(
        Channel $channel,
        CommandRow $command,
        ExpectationRow $expectation,
        Expectations $expectations,
    ): Response {
        $command->expectations()->whereKey($expectation->id)->delete();

        return response(view('rehearse.partials.expectations', [
            'channel' => $channel,
            'row' => $command,
            'holdings' => $expectations->check($channel, $command),
        ]));
    }
}
