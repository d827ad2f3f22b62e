<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use App\Models\User;
use App\Wording\Sentences;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use SilverParrot\Hearing\Trace\ChangePresenter;
use SilverParrot\Memory\Change;

/** Keeps what a simulated chat has changed: shown first, and then as one act that is taken back as one. */
final readonly class KeepChangesController
{
    public function __construct(
        private TryChat $try,
        private KeepChanges $keep,
        private Sentences $sentences,
    ) {
    }

    public function __invoke(Request $request, Channel $channel, #[CurrentUser] User $user): View
    {
        $tried = $this->try->run($channel, TryState::read($request, $channel->seed));
        $lasting = $this->keep->of($channel, $tried);
        $shown = array_values(array_filter($lasting->changes, static fn (Change $one): bool => $one->isAuthored()));
        $isDone = $request->boolean('confirmed') && $shown !== [];
        $problem = $isDone ? $this->keep->keep($channel, $lasting, $user) : null;

        return view('rehearse.partials.keep', [
            'channel' => $channel,
            'changes' => array_map(ChangePresenter::change(...), $shown),
            'nobodies' => $lasting->left,
            'isDone' => $isDone,
            'problem' => $problem === null ? '' : $this->sentences->of($problem),
        ]);
    }
}
