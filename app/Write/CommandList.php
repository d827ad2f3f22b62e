<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
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

        return [
            'channel' => $channel,
            'find' => $text,
            'deleted' => DeletedCommands::in($channel)->count(),
        ] + $this->find->in($channel, $text);
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
