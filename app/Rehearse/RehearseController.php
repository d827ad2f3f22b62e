<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The room in which a draft is tried: a large simulated chat, its cast, and what it would have changed. */
final class RehearseController
{
    public function __invoke(Request $request, Channel $channel, TryChat $try): View
    {
        $person = $request->string('person')->value();

        return view('rehearse.page', [
            'channel' => $channel,
            'cast' => $channel->castMembers()->get(),
            'edited' => ctype_digit($person) ? (int) $person : null,
            'isAdding' => $person === 'new',
            'tried' => $try->run($channel, $try->begin($channel, $request->integer('line'))),
        ]);
    }
}
