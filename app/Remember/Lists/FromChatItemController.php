<?php

declare(strict_types=1);

namespace App\Remember\Lists;

use App\Models\Channel;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Named\Lists;
use App\Write\LookThrough;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Format\PackFormat;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View as Memory;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\WeightedText;

/** An item that was added in the chat becomes one of the list’s own, or goes. */
final readonly class FromChatItemController
{
    public function __construct(
        private DefinitionHistory $history,
        private MemoryEditor $memory,
        private FromChatItems $items,
    ) {
    }

    public function __invoke(
        Request $request,
        Channel $channel,
        string $stable,
        string $item,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        [$list, $waiting] = $this->items->of($channel, $stable);
        abort_if($list === null, 404);
        $wanted = array_values(array_filter(
            $waiting,
            static fn (WeightedText $one): bool => $one->id === $item,
        ))[0] ?? null;
        $back = redirect()->route('remember.list', [$channel, $stable])->withFragment('from-chat');
        if ($wanted === null) {
            return $back->with('notice', 'That was decided already.');
        }
        if ($request->string('do')->value() === 'keep') {
            if (count($list->all) >= PackFormat::ITEMS) {
                return $back->with('notice', 'A list has at most '.number_format(PackFormat::ITEMS).' items.');
            }
            $this->keep($channel, $stable, $wanted, $user);

            return $back->with('notice', 'It’s part of the list now. Publish to put that on the air.');
        }
        $this->memory->change(
            $channel,
            $user,
            Reads::of(Key::addedItems($list->id)),
            static fn (Memory $memory): array => [AddedItems::without($memory, $list, $item)],
        );

        return $back->with('notice', 'The item is deleted and won’t come up again.');
    }

    /** With its id: until it is published as the list’s own it goes on being drawn as what was added. */
    private function keep(Channel $channel, string $stable, WeightedText $item, User $user): void
    {
        $kind = new Lists;
        $this->history->change(
            $channel,
            $kind,
            $stable,
            $user,
            null,
            static function () use ($channel, $kind, $stable, $item): void {
                $state = $kind->read($channel, $stable) ?? [];
                $state['items'] = [
                    ...is_array($state['items'] ?? null) ? $state['items'] : [],
                    ['stable_id' => $item->id, 'text' => $item->text, 'weight' => 1, 'is_on' => true],
                ];
                $kind->put($channel, $stable, $state);
            },
        );
        LookThrough::dispatch($channel->id);
    }
}
