<?php

declare(strict_types=1);

namespace App\Publish;

use App\Accounts\FirstStep;
use App\Models\Channel;
use App\Models\Edition;
use App\Models\User;
use App\Rehearse\Scripts\ScriptRuns;
use App\Write\Findings;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final readonly class PublishController
{
    public function __construct(private Editions $editions)
    {
    }

    public function index(Channel $channel, PublishPreviews $look): View
    {
        return view('publish.page', [
            'channel' => $channel,
            'between' => $look->at($channel),
            'editions' => $channel->editions()->with('user')->orderByDesc('number')->limit(50)->get(),
            'onAir' => $this->editions->onAir($channel),
            'said' => SaidThisWeek::in($channel),
        ]);
    }

    /** The last lines of the real chat through the draft: a part of the page that fills in by itself. */
    public function differently(Channel $channel, LineReruns $rehear): View
    {
        [$looked, $different] = $rehear->differently($channel);

        return view('publish.partials.differently', [
            'channel' => $channel,
            'looked' => $looked,
            'different' => $different,
        ]);
    }

    /** Scripts against the draft: a part of the page that fills in by itself. */
    public function scripts(Channel $channel, ScriptRuns $runs): View
    {
        return view('publish.partials.scripts', ['channel' => $channel, 'stand' => $runs->goOn($channel)]);
    }

    public function store(
        PublishRequest $request,
        Channel $channel,
        Findings $findings,
        PublishChanges $publish,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        // Kept from here on: nobody who saves meanwhile waits for all commands to be looked at.
        $findings->of($channel, null);
        try {
            $edition = $publish($channel, $request->note(), $request->chosen(), $user);
        } catch (CannotPublish $refused) {
            return back()
                ->withInput()
                ->withErrors(['changes' => $refused->getMessage()])
                ->with('notice', $request->boolean('back') ? $refused->getMessage() : null);
        }

        FirstStep::Publish->take($user);
        $next = $request->boolean('back') ? back() : redirect()->route('publish', $channel);

        return $next->with('notice', "Edition {$edition->number} is on the air.");
    }

    public function putOnAir(Channel $channel, Edition $edition): RedirectResponse
    {
        $this->editions->putOnAir($channel, $edition);

        return redirect()->route('publish', $channel)->with('notice', "Edition {$edition->number} is on the air.");
    }

    public function pause(Request $request, Channel $channel): RedirectResponse
    {
        $this->editions->pause($channel, $request->boolean('paused'));

        return redirect()
            ->route('publish', $channel)
            ->with('notice', $request->boolean('paused') ? 'Replies are stopped.' : 'Replies go on.');
    }

    public function silence(Request $request, Channel $channel): RedirectResponse
    {
        $trigger = mb_substr($request->string('trigger')->value(), 0, 60);
        $this->editions->silence($channel, $trigger, $request->boolean('silent'));

        return redirect()
            ->route('publish', $channel)
            ->with('notice', $trigger.($request->boolean('silent') ? ' is silent on the air.' : ' speaks again.'));
    }
}
