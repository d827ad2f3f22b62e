<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Accounts\FirstStep;
use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\User;
use App\Write\CommandForm;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use SilverParrot\Value\Moment;

/** The simulated chat beside what is being written. */
final class TryController
{
    public function __invoke(
        Request $request,
        Channel $channel,
        TryChat $try,
        Expectations $expectations,
        #[CurrentUser] User $user,
    ): View {
        $state = TryState::read($request, $channel->seed);
        $line = $request->string('line')->value();
        $at = DateTimeImmutable::createFromFormat(
            '!Y-m-d\TH:i',
            mb_substr($request->string('at')->value(), 0, 16),
            new DateTimeZone($channel->zone),
        );
        $state = match ($request->string('do')->value()) {
            'say' => $state->sayingAll($state->speaker, $line, $try->cast($channel, $state)),
            'turn' => $state->turnedOn($request->integer('seconds')),
            'at' => $at === false || ! Moment::of($at)->canBeWritten() ? $state : $state->turnedTo(Moment::of($at)),
            'over' => $state->startedOver(),
            default => $state,
        };
        [$draft, $row] = self::draft($request, $channel);

        if ($request->string('do')->value() === 'say') {
            FirstStep::Try->take($user);
        }
        $tried = $try->run($channel, $state, $draft?->command, $row?->trigger);

        return view('rehearse.partials.heard', [
            'channel' => $channel,
            'row' => $row,
            'canKeep' => $row !== null || $draft === null,
            'tried' => $tried,
            'expected' => $expectations->among($channel, $tried->heard),
            'holdings' => $row === null ? null : $expectations->check($channel, $row, $draft?->command),
            'isAnswer' => true,
            'isLarge' => $request->boolean('large'),
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
