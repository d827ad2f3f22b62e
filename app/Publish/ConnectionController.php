<?php

declare(strict_types=1);

namespace App\Publish;

use App\Air\SignIn;
use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\Connection;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Keeping;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Where the parrot speaks. Only the streamer chooses it: whoever can point it elsewhere is told what it is told. */
final readonly class ConnectionController
{
    private const USUAL = [
        'host' => '',
        'port' => 6697,
        'tls' => true,
        'sign_in' => SignIn::None->value,
        'account' => '',
    ];

    public function __construct(private DefinitionHistory $history)
    {
    }

    public function edit(Channel $channel): View
    {
        return view('publish.connection', [
            'channel' => $channel,
            'server' => $channel->chat_server
                ?? self::USUAL + ['room' => $channel->login, 'nick' => $channel->parrot],
        ]);
    }

    public function update(ConnectionRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $this->history->change(
            $channel,
            new Connection,
            '',
            $user,
            $request->integer('seen'),
            static fn () => $channel->update($request->columns()),
        );

        return redirect()
            ->route('publish', $channel)
            ->with(
                'notice',
                $request->isHarbour()
                    ? 'The parrot speaks in the harbour.'
                    : "The parrot goes to {$request->string('host')}; how it stands there is told below.",
            );
    }

    public function keep(KeepingRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $days = $request->integer('keep_days');
        $this->history->change(
            $channel,
            new Keeping,
            '',
            $user,
            $request->integer('seen'),
            static fn () => $channel->update(['keep_days' => $days]),
        );

        return redirect()
            ->route('publish.connection', $channel)
            ->with('notice', $days === 1 ? 'Lines are kept for a day.' : "Lines are kept for {$days} days.");
    }
}
