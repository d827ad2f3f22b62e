<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Write\CommandForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The simulated chat beside what is being written. */
final class TryController
{
    public function __invoke(Request $request, Channel $channel, TryChat $try): View
    {
        $state = TryState::read($request, $channel->seed);
        $state = match ($request->string('do')->value()) {
            'say' => trim($request->string('line')->value()) === ''
                ? $state
                : $state->with($state->speaker, trim($request->string('line')->value())),
            'turn' => $state->turnedOn($request->integer('seconds')),
            'over' => TryState::fresh($state->seed)->spokenBy($state->speaker),
            default => $state,
        };
        [$draft, $row] = self::draft($request, $channel);

        return view('rehearse.partials.heard', [
            'channel' => $channel,
            'row' => $row,
            'canKeep' => $row !== null || $draft === null,
            'tried' => $try->run($channel, $state, $draft?->command, $row?->trigger),
            'isAnswer' => true,
        ]);
    }

    /**
     * @return array{CommandForm|null, CommandRow|null} what stands in the fields, where there are any, and its saved
     *     command
     */
    public static function draft(Request $request, Channel $channel): array
    {
        if (! $request->has('trigger')) {
            return [null, null];
        }
        $row = $channel->commands()->whereKey($request->integer('command'))->first();

        return [CommandForm::read($request), $row];
    }
}
