<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Where the parrot speaks. Only the streamer chooses it: whoever can point it elsewhere is told what it is told. */
final class ConnectionController
{
    private const MOST_DAYS = 365;

    public function edit(Channel $channel): View
    {
        return view('publish.connection', ['channel' => $channel, 'form' => ConnectionForm::of($channel), 'problems' => []]);
    }

    public function update(Request $request, Channel $channel): Response|RedirectResponse
    {
        $form = ConnectionForm::read($request);
        $problems = $form->problems($channel);
        if ($problems !== []) {
            return response(view('publish.connection', ['channel' => $channel, 'form' => $form, 'problems' => $problems]), Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $form->keep($channel);

        return redirect()->route('publish', $channel)->with('notice', $form->isHarbour ? 'The parrot speaks in the harbour.' : "The parrot goes to {$form->host}; how it stands there is told below.");
    }

    public function keep(Request $request, Channel $channel): RedirectResponse
    {
        $days = $request->string('keep_days')->trim()->value();
        if (preg_match('/^\d{1,3}$/D', $days) !== 1 || (int) $days < 1 || (int) $days > self::MOST_DAYS) {
            return redirect()->route('publish.connection', $channel)->withInput()->withErrors(['keep_days' => 'Lines are kept for 1 to '.self::MOST_DAYS.' days.']);
        }
        $channel->newQuery()->whereKey($channel->id)->update(['keep_days' => (int) $days]);

        return redirect()->route('publish.connection', $channel)->with('notice', $days === '1' ? 'Lines are kept for a day.' : "Lines are kept for {$days} days.");
    }
}
