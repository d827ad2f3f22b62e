<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\CommandRepository;
use App\Storage\TriggerTaken;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Document\Document;
use SilverParrot\Source\Fold;

/** What people mistype becomes an alias by one press. */
final class AliasController
{
    public function index(Channel $channel, MistypedTriggers $mistyped): View
    {
        return view('write.partials.mistyped', ['channel' => $channel, 'mistyped' => $mistyped->of($channel)]);
    }

    public function store(
        Request $request,
        Channel $channel,
        CommandRepository $commands,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $alias = $request->string('alias')->trim()->value();
        $row = $channel->commands()->where('trigger_folded', Fold::caseless($request->string('of')->value()))->first();
        $typed = Document::of(['alias' => $alias]);
        $typed->at('alias')->trigger();
        if ($row === null || $typed->findings() !== []) {
            return back()->with('notice', 'That cannot be an alias.');
        }
        try {
            $commands->save($channel, $row, CommandRepository::toCore($row)->alsoOn($alias), $user, $row->revision);
        } catch (TriggerTaken $taken) {
            return back()->with('notice', $taken->getMessage());
        }

        return redirect()->route('write', $channel)->with('notice', "{$row->trigger} answers to $alias too.");
    }
}
