<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\ChangedMeanwhile;
use App\Storage\Definitions\Connection;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Keeping;
use Illuminate\Container\Attributes\CurrentUser;
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
        return view('publish.connection', [
            'channel' => $channel,
            'form' => ConnectionForm::of($channel),
            'problems' => [],
        ]);
    }

    public function update(
        Request $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): Response|RedirectResponse {
        $form = ConnectionForm::read($request);
        $problems = $form->problems($channel);
        if ($problems !== []) {
            return response(
                view('publish.connection', ['channel' => $channel, 'form' => $form, 'problems' => $problems]),
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }
        try {
            $history->change(
                $channel,
                new Connection,
                '',
                $user,
                $request->integer('seen'),
                static fn () => $form->keep($channel),
            );
        } catch (ChangedMeanwhile) {
            return response(
                view('publish.connection', [
                    'channel' => $channel->refresh(),
                    'form' => $form,
                    'problems' => ['where' => ChangedMeanwhile::NOTICE],
                ]),
                Response::HTTP_CONFLICT,
            );
        }

        return redirect()
            ->route('publish', $channel)
            ->with(
                'notice',
                $form->isHarbour
                    ? 'The parrot speaks in the harbour.'
                    : "The parrot goes to {$form->host}; how it stands there is told below.",
            );
    }

    public function keep(
        Request $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $days = $request->string('keep_days')->trim()->value();
        if (preg_match('/^\d{1,3}$/D', $days) !== 1 || (int) $days < 1 || (int) $days > self::MOST_DAYS) {
            return redirect()
                ->route('publish.connection', $channel)
                ->withInput()
                ->withErrors(['keep_days' => 'Lines are kept for 1 to '.self::MOST_DAYS.' days.']);
        }
        try {
            $history->change(
                $channel,
                new Keeping,
                '',
                $user,
                $request->integer('seen'),
                static fn () => $channel->update(['keep_days' => (int) $days]),
            );
        } catch (ChangedMeanwhile) {
            return redirect()
                ->route('publish.connection', $channel)
                ->withInput()
                ->withErrors(['keep_days' => ChangedMeanwhile::NOTICE]);
        }

        return redirect()
            ->route('publish.connection', $channel)
            ->with('notice', $days === '1' ? 'Lines are kept for a day.' : "Lines are kept for {$days} days.");
    }
}
