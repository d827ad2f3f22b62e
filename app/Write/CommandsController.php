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
    public function index(Request $request, Channel $channel, FindCommands $find, TryChat $try): View
    {
        $text = $request->string('find')->value();
        $found = ['channel' => $channel, 'find' => $text] + $find->in($channel, $text);
        if ($request->hasHeader('HX-Request')) {
            return view('write.partials.entries', $found);
        }

        return view(
            'write.commands',
            $found + ['tried' => $try->run($channel, $try->begin($channel, $request->integer('line')))],
        );
    }
}
