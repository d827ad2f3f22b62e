<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\TimerRow;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Timers;
use App\Storage\MariaDbStore;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Timers\TimerClock;
use SilverParrot\Hearing\Timers\TimerPicture;
use SilverParrot\Hearing\Timers\TimerSample;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\Timer;
use SilverParrot\Rehearsal\ChatPace;
use SilverParrot\Value\Moment;

/** What the parrot says by itself, and when it will. */
final readonly class TimersController
{
    public function __construct(
        private Assembler $assembler,
        private DefinitionHistory $history,
        private Connection $connection,
        private PhraseSamples $samples,
    ) {
    }

    public function index(Request $request, Channel $channel): View
    {
        $pace = ChatPace::of($this->samples->heard($channel));
        $sample = TimerSample::tryFrom($request->string('sample')->value());
        $pack = $this->assembler->namesAndTriggers($channel);
        $now = Moment::of(now());
        $clocks = array_map(static fn ($timer): TimerClock => new TimerClock($timer), $pack->timers);
        $reads = Reads::of(
            ...array_merge([], ...array_map(static fn (TimerClock $clock): array => $clock->reads($pack), $clocks)),
        );
        $memory = (new MariaDbStore($this->connection, $channel->id))->snapshot($reads);
        $live = $channel->details['live'] ?? null;
        $findings = [];
        $looked = CheckContext::before($pack, Assembler::environment($channel), []);
        foreach (Checks::look($looked, Checks::ofTimers()) as $finding) {
            [, $of, $place] = explode('/', $finding->at);
            if ($of === 'timers') {
                $findings[$place][] = $finding;
            }
        }

        return view('write.timers', [
            'channel' => $channel,
            'rows' => $channel->timers()->orderBy('id')->get(),
            'timers' => $pack->timers,
            'stands' => array_map(
                static fn (TimerClock $clock) => $clock->look($memory, $pack, $now, is_bool($live) ? $live : null),
                $clocks,
            ),
            'findings' => $findings,
            'triggers' => $channel->commands()->pluck('trigger', 'stable_id')->all(),
            'picture' => TimerPicture::of($pack->timers),
            'now' => now($channel->zone),
            'pace' => $pace,
            'seen' => DefinitionHistory::revision($channel, new Timers),
            'new' => $sample?->timer($pace->lines()) ?? new Timer('', [], lines: $pace->lines()),
        ]);
    }

    /** With one of them as it is typed. */
    public function picture(Request $request, Channel $channel): View
    {
        $number = $request->string('timer')->value();
        $minutes = max(0, min(Timer::LONGEST, $request->integer('minutes')));
        $timers = [];
        foreach ($channel->timers()->orderBy('id')->get() as $row) {
            $timer = $row->timer();
            $timers[] = (string) $row->id === $number
                ? new Timer($timer->name, [], $minutes, isOn: $request->boolean('is_on'))
                : $timer;
        }
        if ($number === 'new') {
            $name = mb_substr($request->string('name')->trim()->value(), 0, 60);
            $timers[] = new Timer($name === '' ? 'new' : $name, [], $minutes, isOn: $request->boolean('is_on'));
        }

        return view('write.partials.two-hours', ['timers' => $timers, 'picture' => TimerPicture::of($timers)]);
    }

    public function store(TimerRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        return $this->keep($request, $channel, (string) Str::ulid(), $user, null);
    }

    public function update(
        TimerRequest $request,
        Channel $channel,
        TimerRow $timer,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        return $this->keep($request, $channel, $timer->stable_id, $user, $request->integer('seen'));
    }

    public function destroy(Channel $channel, TimerRow $timer, #[CurrentUser] User $user): RedirectResponse
    {
        $this->history->change(
            $channel,
            new Timers,
            $timer->stable_id,
            $user,
            null,
            static fn () => (new Timers)->put($channel, $timer->stable_id, null),
        );

        return redirect()->route('write.timers', $channel)->with('notice', "{$timer->name} is deleted.");
    }

    public function now(Channel $channel, TimerRow $timer, SayTimerNow $say): RedirectResponse
    {
        return redirect()->route('write.timers', $channel)->with('notice', $say($channel, $timer->stable_id));
    }

    private function keep(
        TimerRequest $request,
        Channel $channel,
        string $id,
        User $user,
        ?int $seen,
    ): RedirectResponse {
        $timer = $request->timer($id);
        $this->history->change(
            $channel,
            new Timers,
            $id,
            $user,
            $seen,
            static fn () => $channel->timers()->updateOrCreate(['stable_id' => $id], TimerRow::columns($timer)),
        );

        return redirect()
            ->route('write.timers', $channel)
            ->with('notice', 'Saved in the draft; publish it to put it on the air.');
    }
}
