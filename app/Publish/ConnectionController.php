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
}
