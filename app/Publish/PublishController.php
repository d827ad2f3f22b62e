<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\Edition;
use App\Models\User;
use App\Storage\Assembler;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final readonly class PublishController
{
    public function __construct(private Editions $editions)
    {
    }

    public function index(Channel $channel, Assembler $assembler, Rehear $rehear): View
    {
        $between = Between::of($channel, $assembler);
        [$looked, $different] = $between->differences === [] ? [0, []] : $rehear->differently($channel, $between->draft);

        return view('publish.page', [
            'channel' => $channel,
            'between' => $between,
            'looked' => $looked,
            'different' => $different,
            'editions' => $channel->editions()->with('user')->orderByDesc('number')->limit(50)->get(),
            'onAir' => $this->editions->onAir($channel),
        ]);
    }

    public function store(Request $request, Channel $channel, Assembler $assembler, #[CurrentUser] User $user): RedirectResponse
    {
        $request->validate(['note' => ['nullable', 'string', 'max:500']]);
        if (Between::of($channel, $assembler)->hasErrors()) {
            return back()->withInput()->withErrors(['note' => 'There are findings that keep these commands from working. Mend them first.']);
        }
        try {
            $edition = $this->editions->publish($channel, $request->string('note')->trim()->value(), $user);
        } catch (PackTooLarge $tooLarge) {
            return back()->withInput()->withErrors(['note' => $tooLarge->getMessage()]);
        }

        return redirect()->route('publish', $channel)->with('notice', "Edition {$edition->number} is on the air.");
    }

    public function putOnAir(Channel $channel, Edition $edition): RedirectResponse
    {
        $this->editions->putOnAir($channel, $edition);

        return redirect()->route('publish', $channel)->with('notice', "Edition {$edition->number} is on the air.");
    }

    public function pause(Request $request, Channel $channel): RedirectResponse
    {
        $this->editions->pause($channel, $request->boolean('paused'));

        return redirect()->route('publish', $channel)->with('notice', $request->boolean('paused') ? 'The parrot is silent.' : 'The parrot speaks again.');
    }

    public function silence(Request $request, Channel $channel): RedirectResponse
    {
        $trigger = mb_substr($request->string('trigger')->value(), 0, 60);
        $this->editions->silence($channel, $trigger, $request->boolean('silent'));

        return redirect()->route('publish', $channel)->with('notice', $trigger.($request->boolean('silent') ? ' is silent on the air.' : ' speaks again.'));
    }
}
