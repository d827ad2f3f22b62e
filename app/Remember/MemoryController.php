<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Chat\TypedMoment;
use SilverParrot\Memory\Owner;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** What is remembered on the air, how it came about, and putting it right. */
final readonly class MemoryController
{
    public function __construct(private MemoryEditor $corrections)
    {
    }

    public function index(
        Request $request,
        Channel $channel,
        MemoryOverview $remembered,
        Handing $handing,
        NamedOverview $named,
        MemoryHistory $history,
    ): View {
        $find = mb_substr($request->string('find')->trim()->value(), 0, 100);

        return view('remember.page', [
            'channel' => $channel,
            'find' => $find,
            'named' => $named->of($channel, Fold::caseless($find)),
            'counters' => $remembered->counters($channel),
            'occasions' => $remembered->occasions($channel),
            'history' => $history->of($channel),
            'waiting' => $handing->waiting($channel),
        ]);
    }

    public function count(CountRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        [$name, $typed] = [$request->counter(), $request->integer('number')];
        $now = $this->corrections->count($channel, $name, Owner::fromId($request->owner()), $typed, $user);

        return back(fallback: route('remember', $channel))->with('notice', match (true) {
            $now === null => 'There is no such counter, or it counts nothing of that kind.',
            default => "counter.{$name} is {$now}.",
        });
    }

    public function occasion(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $name = $request->string('occasion')->value();
        $typed = $request->string('typed')->trim()->value();
        $isNow = $request->string('to')->value() === 'now';
        $isTyped = $request->string('to')->value() === 'typed';
        $at = match (true) {
            $isTyped => $this->corrections->moment($channel, $name, $typed),
            $isNow => Moment::of(now()->startOfSecond()),
            default => null,
        };
        if ($isTyped && $at === null) {
            $example = TypedMoment::example(Assembler::channel($channel));

            return redirect()->route('remember', $channel)->withInput()->withErrors([
                'typed' => "This is no moment; write it like “10 days ago”, “in 2 days” or “{$example}”.",
            ], "occasion $name");
        }
        $done = $this->corrections->occasion($channel, $name, $at, $user);

        return redirect()->route('remember', $channel)->with('notice', match (true) {
            ! $done => 'There is no such occasion.',
            $isNow => "occasion.{$name} is now.",
            $isTyped => "occasion.{$name} is set.",
            default => "occasion.{$name} is not set any more.",
        });
    }

    public function hand(Request $request, Channel $channel, int $viewer, Handing $handing): RedirectResponse
    {
        $login = $channel->viewers()->whereKey($viewer)->first()->login ?? '';
        $name = $handing->on($channel, $viewer, $request->string('to')->value());

        return redirect()
            ->route('remember', $channel)
            ->with(
                'notice',
                $name === null
                    ? 'There is nobody like that any more; nothing was handed on.'
                    : "What was kept under {$login} belongs to {$name} now.",
            );
    }

    public function undo(
        Channel $channel,
        int $history,
        #[CurrentUser] User $user,
        TakingBack $takingBack,
    ): RedirectResponse {
        return back(fallback: route('remember', $channel))
            ->with(
                'notice',
                match ($takingBack->of($channel, $history, $user)) {
                    TakenBack::Restored => 'Undone.',
                    TakenBack::TakenOut => 'It is taken out again; what came later stays.',
                    TakenBack::ChangedSince => 'It has changed again since, so nothing was taken back; undo the later '
                        .'change first.',
                    TakenBack::Before => 'That change was taken back before.',
                    TakenBack::NotThere => 'There is no such change.',
                },
            );
    }
}
