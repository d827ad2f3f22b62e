<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\EmoteRow;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Emotes;
use App\Write\LookThrough;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** The channel's emotes: their words, pictures, and who may use them. */
final readonly class EmotesController
{
    public function __construct(private DefinitionHistory $history)
    {
    }

    public function store(EmoteRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $word = $request->word();
        $this->history->change(
            $channel,
            new Emotes,
            $word,
            $user,
            null,
            static fn () => $channel->emotes()->create([
                'stable_id' => $word,
                'word' => $word,
                'picture' => $request->picture(),
                'levels' => $request->levels(),
            ]),
        );
        LookThrough::dispatch($channel->id);

        return redirect()->to(route('remember', $channel).'#emotes')->with('notice', "{$word} is an emote now.");
    }

    public function destroy(Channel $channel, EmoteRow $emote, #[CurrentUser] User $user): RedirectResponse
    {
        $this->history->change($channel, new Emotes, $emote->word, $user, null, static fn () => $emote->delete());
        LookThrough::dispatch($channel->id);

        return redirect()
            ->to(route('remember', $channel).'#emotes')
            ->with('notice', "{$emote->word} is no emote any more.");
    }

    /** Its pixels never change: another picture is another emote. */
    public function show(Channel $channel, EmoteRow $emote): Response
    {
        if (preg_match('#^data:(image/(?:png|gif|webp));base64,#', $emote->picture, $kind) !== 1) {
            abort(Response::HTTP_NOT_FOUND);
        }

        return response(
            (string) base64_decode(substr($emote->picture, strlen($kind[0])), true),
            headers: ['Content-Type' => $kind[1], 'Cache-Control' => 'private, max-age=31536000, immutable'],
        );
    }
}
