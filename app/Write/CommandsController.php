<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Rehearse\TryChat;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** All commands of a channel, found by any text. */
final class CommandsController
{
    public function index(Request $request, Channel $channel, CommandList $list, TryChat $try): View
    {
        $shown = $list->shown($request, $channel);
        if ($request->hasHeader('HX-Request')) {
            return view($shown['from'] > 0 ? 'write.partials.entry-lines' : 'write.partials.entries', $shown);
        }

        return view(
            'write.commands',
            $shown + ['tried' => $try->run($channel, $try->begin($channel, $request->integer('line')))],
        );
    }
}
