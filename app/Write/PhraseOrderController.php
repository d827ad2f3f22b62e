<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Hearing\Phrases\PhraseOrder;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Phrase;

/** All phrases in the order in which they win over each other, where they can be moved. */
final readonly class PhraseOrderController
{
    public function __construct(private Assembler $assembler, private CommandRepository $commands)
    {
    }

    public function index(Channel $channel): View
    {
        $rows = $channel->commands()->where('phrases', '<>', '[]')->get(['id', 'stable_id', 'phrases']);
        $phrases = $this->order($channel)->phrases;

        return view('write.phrase-order', [
            'channel' => $channel,
            'phrases' => $phrases,
            'silent' => $rows->sum(static fn ($row): int => count($row->phrases)) - count($phrases),
            'numbers' => $rows->pluck('id', 'stable_id')->all(),
        ]);
    }

    public function move(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $order = $this->order($channel);
        $command = $request->string('command')->value();
        $text = $request->string('phrase')->value();
        $from = array_find_key(
            $order->phrases,
            static fn (array $one): bool => $one['command']->id === $command && $one['phrase']->text === $text,
        );
        $back = redirect()->route('write.phrase-order', $channel);
        if ($from === null) {
            return $back->with('notice', 'That phrase is not there any more; nothing was moved.');
        }
        $places = $order->moved($from, match ($request->string('to')->value()) {
            'first' => 0,
            'down' => $from + 1,
            default => $from - 1,
        });
        [$batch, $count] = $this->commands->changeAll(
            $channel,
            array_values(
                array_filter(
                    $channel->commands()->whereIn('stable_id', array_keys($places))->pluck('id')->all(),
                    is_int(...),
                ),
            ),
            static fn (Command $one): Command => $one->saidAs(...array_map(
                static fn (Phrase $phrase): Phrase => isset($places[$one->id][$phrase->text])
                    ? $phrase->placed($places[$one->id][$phrase->text])
                    : $phrase,
                $one->triggers->phrases,
            )),
            $user,
        );

        return $count === 0 ? $back : $back->with([
            'notice' => "“{$text}” was moved.",
            'undo' => route('write.phrase-order.undo', [$channel, $batch]),
        ]);
    }

    public function undo(Channel $channel, string $batch, #[CurrentUser] User $user): RedirectResponse
    {
        [, $kept] = $this->commands->undoAll($channel, $batch, $user);

        return redirect()
            ->route('write.phrase-order', $channel)
            ->with(
                'notice',
                $kept === 0 ? 'The order is as it was.' : 'The order is as it was, as far as nobody changed it since.',
            );
    }

    private function order(Channel $channel): PhraseOrder
    {
        return PhraseOrder::of($this->assembler->reachedBy($channel, []));
    }
}
