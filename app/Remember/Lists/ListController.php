<?php

declare(strict_types=1);

namespace App\Remember\Lists;

use App\Models\Channel;
use App\Models\TextListRow;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Named\Lists;
use App\Write\LookThrough;
use Closure;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Format\PackFormat;

/** One list: its items found, edited in place, switched, moved and added, and how often each came up. */
final readonly class ListController
{
    private const SHOWN = 100;

    public function __construct(private DefinitionHistory $history)
    {
    }

    public function show(
        Request $request,
        Channel $channel,
        string $stable,
        ListDrawn $drawn,
        FromChatItems $fromChat,
    ): View {
        $list = self::list($channel, $stable);
        $find = mb_substr($request->string('find')->trim()->value(), 0, 200);
        $items = $list->items();
        if ($find !== '') {
            // Without regard to case, as people search; the items themselves are compared exactly.
            $items->whereRaw('LOWER(text) LIKE ?', ['%'.addcslashes(mb_strtolower($find), '%_\\').'%']);
        }
        $count = (clone $items)->count();
        $page = min(max(1, $request->integer('page')), max(1, (int) ceil($count / self::SHOWN)));

        return view('remember.list', [
            'channel' => $channel,
            'list' => $list,
            'find' => $find,
            'items' => $items->offset(($page - 1) * self::SHOWN)->limit(self::SHOWN)->get(),
            'count' => $count,
            'page' => $page,
            'pages' => (int) ceil($count / self::SHOWN),
            'edited' => $request->string('edit')->value(),
            'drawn' => $drawn->of($channel, $list),
            'fromChat' => $list->from_chat ? $fromChat->of($channel, $list->stable_id)[1] : [],
        ]);
    }

    public function add(
        AddedItemsRequest $request,
        Channel $channel,
        string $stable,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $list = self::list($channel, $stable);
        $new = $request->items();
        $this->change($channel, $list, $user, static fn (array $items): array => [...$items, ...$new]);

        return self::back($request, $channel, $stable)->with(
            'notice',
            count($new) === 1 ? 'One item is added.' : number_format(count($new)).' items are added.',
        );
    }

    public function item(
        ItemRequest $request,
        Channel $channel,
        string $stable,
        string $item,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $list = self::list($channel, $stable);
        $do = $request->string('do')->value();
        $typed = ['text' => $request->string('text')->trim()->value()]
            + ($request->filled('weight') ? ['weight' => $request->integer('weight')] : []);
        $this->change($channel, $list, $user, static function (array $items) use ($item, $do, $typed): array {
            $at = array_search($item, array_column($items, 'stable_id'), true);
            if (! is_int($at)) {
                return $items;
            }
            $others = [...array_slice($items, 0, $at), ...array_slice($items, $at + 1)];
            $moved = static fn (int $to): array => [
                ...array_slice($others, 0, max(0, $to)),
                $items[$at],
                ...array_slice($others, max(0, $to)),
            ];

            return match ($do) {
                'save' => array_replace($items, [$at => $typed + $items[$at]]),
                'on', 'off' => array_replace($items, [$at => ['is_on' => $do === 'on'] + $items[$at]]),
                'up' => $moved($at - 1),
                'down' => $moved($at + 1),
                default => $others,
            };
        });

        // Back to where it was pressed: the list may be long.
        $back = $do === 'delete'
            ? self::back($request, $channel, $stable)
            : self::back($request, $channel, $stable)->withFragment("item-$item");

        return $back->with('notice', match ($do) {
            'on' => 'It is drawn again.',
            'off' => 'It is not drawn any more; what it came up stays counted.',
            'delete' => 'The item is deleted.',
            'save' => 'Saved in the draft; publish it to put it on the air.',
            default => 'Moved.',
        });
    }

    /** @param  Closure(list<array<string, mixed>>): array<int, array<string, mixed>>  $do  with its items */
    private function change(Channel $channel, TextListRow $list, User $user, Closure $do): void
    {
        $kind = new Lists;
        $this->history->change(
            $channel,
            $kind,
            $list->stable_id,
            $user,
            null,
            static function () use ($channel, $kind, $list, $do): void {
                $state = $kind->read($channel, $list->stable_id) ?? [];
                /** @var list<array<string, mixed>> $items */
                $items = is_array($state['items'] ?? null) ? $state['items'] : [];
                $state['items'] = array_slice(array_values($do($items)), 0, PackFormat::ITEMS);
                $kind->put($channel, $list->stable_id, $state);
            },
        );
        LookThrough::dispatch($channel->id);
    }

    private static function back(Request $request, Channel $channel, string $stable): RedirectResponse
    {
        return redirect()->route('remember.list', array_filter([
            $channel,
            $stable,
            'find' => $request->query('find'),
            'page' => $request->query('page'),
        ]));
    }

    private static function list(Channel $channel, string $stable): TextListRow
    {
        return $channel->lists()->where('stable_id', $stable)->firstOrFail();
    }
}
