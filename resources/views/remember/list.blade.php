@php
    $mayWrite = auth()->user()->can('write', $channel);
    $query = array_filter(['find' => $find, 'page' => $page > 1 ? $page : null]);
@endphp
<x-book :title="'list.'.$list->name.' · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Items">
            <div class="page-head"><h1>list.{{ $list->name }}</h1> @include('remember.partials.pages')</div>
            <p class="small">Drawn {{ __('orders.'.$list->draw_order->value) }}{{ $list->each_viewer ? ', a place for each viewer' : '' }}{{ $list->responses ? ', with slots filled in' : '' }}.@if ($mayWrite) <a href="{{ route('remember', [$channel, 'kind' => 'lists', 'edit' => $list->stable_id]) }}#named-lists">Change it</a>@endif</p>
            <form method="get" action="{{ route('remember.list', [$channel, $list->stable_id]) }}" class="find" role="search">
                <input type="search" name="find" value="{{ $find }}" aria-label="Search the items" placeholder="part of an item" maxlength="200" dir="auto"> <button class="plain">Search</button>
                @if ($find !== '')<a href="{{ route('remember.list', [$channel, $list->stable_id]) }}">Show all</a>@endif
            </form>
            <ul class="ruled">
                @forelse ($items as $item)
                    <li id="item-{{ $item->stable_id }}" @class(['is-off' => ! $item->is_on])>
                        @if ($edited === $item->stable_id && $mayWrite)
                            <form method="post" action="{{ route('remember.list.item', [$channel, $list->stable_id, $item->stable_id] + $query) }}" class="named-form">@csrf @method('put')
                                <p class="line-field"><label for="item-text">Text</label><textarea id="item-text" name="text" rows="2" maxlength="2000" dir="auto" autofocus @error('text') aria-invalid="true" aria-describedby="text-problem" @enderror>{{ old('text', $item->text) }}</textarea></p><x-problem name="text" />
                                <p class="line-field"><label for="item-weight">Weight</label><input id="item-weight" name="weight" value="{{ old('weight', $item->weight) }}" inputmode="numeric" maxlength="4" @error('weight') aria-invalid="true" aria-describedby="weight-problem" @enderror></p><x-problem name="weight" />
                                <p><button class="strong" name="do" value="save">Save</button> <a class="plain" href="{{ route('remember.list', [$channel, $list->stable_id] + $query) }}">Cancel</a></p>
                            </form>
                        @else
                            <span dir="auto">{{ $item->text }}</span>@if ($item->weight > 1) <span class="small">weight {{ $item->weight }}</span>@endif @unless ($item->is_on)<span class="small">off</span>@endunless
                            @if ($mayWrite)<form method="post" action="{{ route('remember.list.item', [$channel, $list->stable_id, $item->stable_id] + $query) }}" class="inline controls">@csrf @method('put')<a href="{{ route('remember.list', [$channel, $list->stable_id, 'edit' => $item->stable_id] + $query) }}#item-{{ $item->stable_id }}" aria-label="edit {{ $item->text }}">edit</a> <button class="as-link" name="do" value="{{ $item->is_on ? 'off' : 'on' }}" aria-label="{{ $item->is_on ? 'switch off' : 'switch on' }} {{ $item->text }}">{{ $item->is_on ? 'off' : 'on' }}</button> <button class="as-link" name="do" value="up" aria-label="move up {{ $item->text }}">up</button> <button class="as-link" name="do" value="down" aria-label="move down {{ $item->text }}">down</button> <button class="as-link" name="do" value="delete" aria-label="delete {{ $item->text }}">delete</button></form>@endif
                        @endif</li>
                @empty
                    <li>{{ $find === '' ? 'No items yet: add some on the other page.' : 'No item has this in it.' }}</li>
                @endforelse
            </ul>
            @if ($pages > 1)<p class="small">@if ($page > 1)<a href="{{ route('remember.list', array_filter([$channel, $list->stable_id, 'find' => $find, 'page' => $page - 1])) }}">Back</a> @endif page {{ $page }} of {{ $pages }}, {{ number_format($count) }} items @if ($page < $pages)<a href="{{ route('remember.list', array_filter([$channel, $list->stable_id, 'find' => $find, 'page' => $page + 1])) }}">Next</a>@endif</p>@endif
            @if ($list->from_chat)
                <h2 class="group" id="from-chat">Added from chat</h2>
                <ul class="ruled">
                    @forelse ($fromChat as $item)
                        <li><span dir="auto">{{ $item->text }}</span>
                            @if ($mayWrite)<form method="post" action="{{ route('remember.list.from-chat', [$channel, $list->stable_id, $item->id]) }}" class="inline controls">@csrf @method('put')<button class="as-link" name="do" value="keep" aria-label="keep {{ $item->text }}">keep</button> <button class="as-link" name="do" value="delete" aria-label="delete {{ $item->text }}">delete</button></form>@endif</li>
                    @empty
                        <li>Nothing yet. A command can add items: on its page, choose “do something first”.</li>
                    @endforelse
                </ul>
                @if ($fromChat !== [])<p class="small">They come up like the others, and aren’t part of any edition until you keep them.</p>@endif
            @endif
            @include('partials.changes', ['kind' => 'lists'])
        </section>
        <section class="page facing" id="right-page" aria-label="How often each came up">
            <div class="page-head"><h2>How often each came up</h2></div>
            @if ($drawn['bars'] === [])<p>Nothing can be drawn: no item is switched on.</p>@else
                <p>{{ $drawn['total'] === 0 ? 'Nothing was drawn on the air yet.' : ($drawn['total'] === 1 ? 'One draw on the air.' : number_format($drawn['total']).' draws on the air.') }} {{ $drawn['unlikely'] ? 'That is unlikely: by chance, less than one in a thousand such lists would be as far from their shares.' : '' }}</p>
                <svg class="draws" viewBox="0 0 440 {{ count($drawn['bars']) * 30 + 4 }}" role="img" aria-label="What came up beside what was to be expected">
                    @foreach ($drawn['bars'] as $at => $bar)
                        <text x="0" y="{{ $at * 30 + 12 }}">{{ Illuminate\Support\Str::limit($bar['text'], 44, '…') }}</text>
                        <text x="438" y="{{ $at * 30 + 12 }}" text-anchor="end" class="of">{{ $drawn['total'] === 0 ? '' : $bar['came'].' came, '.round($bar['expected'], 1).' expected; ' }}{{ $bar['thousand'] }} of a thousand</text>
                        <rect x="0" y="{{ $at * 30 + 17 }}" height="6" width="{{ round($bar['came'] / $drawn['most'] * 438, 1) }}" class="came"/>
                        @if ($drawn['total'] > 0)<line x1="{{ round($bar['expected'] / $drawn['most'] * 438, 1) }}" x2="{{ round($bar['expected'] / $drawn['most'] * 438, 1) }}" y1="{{ $at * 30 + 15 }}" y2="{{ $at * 30 + 25 }}" class="expected"/>@else<rect x="0" y="{{ $at * 30 + 19 }}" height="2" width="{{ round($bar['thousand'] / 1000 * 438, 1) }}" class="came"/>@endif
                    @endforeach
                </svg>
                <p class="small">{{ $drawn['total'] === 0 ? 'Lines: what a thousand draws would give.' : 'Bars: what came up. Strokes: what was to be expected.' }}</p>
            @endif
            @if ($mayWrite)
                <h3>Add items</h3>
                <form method="post" action="{{ route('remember.list.add', [$channel, $list->stable_id]) }}">@csrf
                    <p class="line-field"><label for="items">One a line; a weight may follow after a tab</label><textarea id="items" name="items" rows="5" dir="auto" @error('items') aria-invalid="true" aria-describedby="items-problem" autofocus @enderror>{{ old('items') }}</textarea></p><x-problem name="items" />
                    <p><button class="plain">Add</button></p>
                </form>
                @include('remember.partials.carry', ['transfer' => 'items', 'of' => $list->stable_id])
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Items</a><a href="#right-page">How often each came up</a></nav>
</x-book>
