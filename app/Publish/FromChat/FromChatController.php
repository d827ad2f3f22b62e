<?php

declare(strict_types=1);

namespace App\Publish\FromChat;

use App\Models\Channel;
use App\Models\EffectRow;
use App\Models\User;
use App\Publish\Editions;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\FromChatRules;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Format\OutcomeFormat;
use SilverParrot\Source\Message;
use SilverParrot\Source\Wording;

/** What was changed in the chat: looked at, allowed, taken back; and who may change what there. */
final readonly class FromChatController
{
    private const SHOWN = 50;

    public function __construct(private Wording $wording)
    {
    }

    public function index(Channel $channel): View
    {
        $all = EffectRow::query()->where('channel_id', $channel->id)->with('viewer')->orderByDesc('id');

        $asked = (clone $all)->where('state', EffectState::Asked)->get();
        $rows = (clone $all)->where('state', '<>', EffectState::Asked)->limit(self::SHOWN)->get();

        return view('write.from-chat', [
            'channel' => $channel,
            'asked' => $asked,
            'rows' => $rows,
            'reason' => $this->reason(...),
            'commands' => $channel
                ->commands()
                ->whereIn('stable_id', [...$asked->pluck('subject'), ...$rows->pluck('subject')])
                ->pluck('id', 'stable_id')
                ->all(),
        ]);
    }

    public function rules(
        Request $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $rules = new FromChatRules;
        $history->change($channel, $rules, '', $user, $request->integer('seen'), static fn () => $rules->put(
            $channel,
            '',
            [
                'look_ups' => $request->boolean('look_ups'),
                'memory' => $request->boolean('memory'),
                'waits' => $request->boolean('waits'),
            ],
        ));

        return redirect()
            ->route('write.from-chat', $channel)
            ->with('notice', 'Saved in the draft; publish it to put it on the air.');
    }

    public function decide(Request $request, Channel $channel, EffectRow $effect, CarryOut $carry): RedirectResponse
    {
        $isYes = $request->boolean('yes');
        $told = Editions::locked($channel, function () use ($channel, $effect, $carry, $isYes): string {
            $effect = $channel->effects()->whereKey($effect->id)->lockForUpdate()->first();
            if ($effect === null || $effect->state !== EffectState::Asked) {
                return 'That was decided already.';
            }
            if (! $isYes) {
                $effect->update(['state' => EffectState::Declined, 'effect' => [], 'seen_at' => now()]);

                return 'Declined; nothing was changed.';
            }
            $carry->one($channel->refresh(), $effect, isAllowed: true);
            $effect->update(['seen_at' => now()]);

            return $effect->state === EffectState::Done ? 'It is on the air.' : $this->reason($effect);
        });

        return redirect()->route('write.from-chat', $channel)->with('notice', $told);
    }

    public function undo(
        Channel $channel,
        EffectRow $effect,
        UndoEffect $undo,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        return redirect()
            ->route('write.from-chat', $channel)
            ->with('notice', $undo($channel, $effect, $user));
    }

    public function seen(Channel $channel): RedirectResponse
    {
        EffectRow::query()
            ->where('channel_id', $channel->id)
            ->whereIn('state', [EffectState::Done, EffectState::Refused, EffectState::Declined])
            ->whereNull('seen_at')
            ->update(['seen_at' => now()]);

        return redirect()->route('write.from-chat', $channel)->with('notice', 'All changes are marked as seen.');
    }

    private function reason(EffectRow $effect): string
    {
        $reason = OutcomeFormat::read($effect->outcome ?? [])->outcome['reason'] ?? null;

        return $reason instanceof Message ? $this->wording->of($reason) : '';
    }
}
