<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\EffectRow;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The list of commands, found by any text. */
final readonly class CommandList
{
    public function __construct(private FindCommands $find)
    {
    }

    /** @return array<string, mixed> what its view shows */
    public function shown(Request $request, Channel $channel): array
    {
        $text = $request->string('find')->value();
        $order = ListOrder::tryFrom($request->string('order')->value()) ?? ListOrder::Group;
        $from = $request->integer('from');

        return [
            'channel' => $channel,
            'find' => $text,
            'order' => $order,
            'from' => $from,
            'deleted' => $from > 0 ? 0 : DeletedCommands::in($channel)->count(),
            'fromChat' => EffectRow::query()->where('channel_id', $channel->id)->toLookAt()->count(),
            'changedInChat' => EffectRow::query()
                ->where('channel_id', $channel->id)
                ->toLookAt()
                ->where('kind', 'command')
                ->pluck('subject', 'subject')
                ->all(),
        ] + $this->find->in(
            $channel,
            $text,
            $order,
            $from,
            // After a press there are as many as before it, so that nothing moves.
            max($from > 0 ? FindCommands::NEXT : FindCommands::FIRST, $request->integer('shown')),
        );
    }

    /**
     * What a press in the list leads to: in place where the page asks so, and back to it where it cannot.
     *
     * @param  string|null  $undo  the address that takes it back
     */
    public function after(
        Request $request,
        Channel $channel,
        string $notice,
        ?string $undo = null,
    ): View|RedirectResponse {
        if ($request->hasHeader('HX-Request')) {
            return view(
                'write.partials.entries',
                ['notice' => $notice, 'undo' => $undo] + $this->shown($request, $channel),
            );
        }

        return back(fallback: route('write', $channel))->with('notice', $notice)->with('undo', $undo);
    }
}
