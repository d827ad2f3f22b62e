{{-- All of one kind, to be made, changed and deleted. --}}
@php($isEdited = request('kind') === $kind->key())
<ul class="ruled" id="named-{{ $kind->key() }}">
    @foreach ($named[$kind->key()] as $one)
        <li id="{{ $kind->key() }}-{{ $loop->index }}">
            @if ($isEdited && request('edit') === $one['id'] && $mayWrite)
                @include('remember.partials.named-form', ['stable' => $one['id'], 'state' => $kind->read($channel, $one['id'])])
            @else
                @if (in_array($kind->key(), ['lists', 'counters'], true))<a href="{{ route($kind->key() === 'lists' ? 'remember.list' : 'remember.counter', [$channel, $one['id']]) }}"><b>{{ $one['name'] }}</b></a>@else<b>{{ $one['name'] }}</b>@endif <span class="small">@if ($one['uses'] === [])not used @else used in @foreach (array_slice($one['uses'], 0, 3) as $user)<a href="{{ App\Remember\UsesOfNames::place($channel, $user) }}">{{ $user }}</a>{{ $loop->last ? '' : ', ' }}@endforeach{{ count($one['uses']) > 3 ? ' and '.(count($one['uses']) - 3).' more' : '' }}@endif</span>
                @if ($mayWrite)<span class="controls"><a href="{{ route($kind->page(), [$channel, 'kind' => $kind->key(), 'edit' => $one['id']]) }}" hx-get="{{ route('remember.named.edit', [$channel, $kind->key(), $one['id']]) }}" hx-target="#{{ $kind->key() }}-{{ $loop->index }}" hx-swap="innerHTML" aria-label="edit {{ $one['name'] }}">edit</a>
                    <form method="post" action="{{ route('remember.named.copy', [$channel, $kind->key(), $one['id']]) }}" class="inline">@csrf<button class="as-link" aria-label="copy {{ $one['name'] }}">copy</button></form>
                    <form method="post" action="{{ route('remember.named.destroy', [$channel, $kind->key(), $one['id']]) }}" class="inline">@csrf @method('delete')<button class="as-link" aria-label="delete {{ $one['name'] }}">delete</button></form></span>@endif
                @if ($mayWrite && $kind->key() === 'counters')<a class="small" href="{{ route('write.import', [$channel, 'pasted' => SilverParrot\Pack\Import\CounterCommands::table(Illuminate\Support\Str::after($one['name'], '.'))]) }}" aria-label="commands for it: {{ $one['name'] }}">commands for it</a>@endif
                @if ($mayWrite && $kind->key() === 'lists')<a class="small" href="{{ route('write.import', [$channel, 'pasted' => SilverParrot\Pack\Import\ListCommands::table(Illuminate\Support\Str::after($one['name'], '.'))]) }}" aria-label="commands for it: {{ $one['name'] }}">commands for it</a>@endif
                @foreach ($one['findings'] as $finding)<p class="small problem-text">{{ $finding }}</p>@endforeach
                @if ($one['holds'] !== '')<p class="holds" dir="auto">{{ Illuminate\Support\Str::limit($one['holds'], 300, '…') }}</p>@endif
            @endif</li>
    @endforeach
    @if ($named[$kind->key()] === [])<li>{{ $find === '' ? 'None yet.' : 'None with this in it.' }}</li>@endif
</ul>
@if ($mayWrite && $find === '')
    <div id="new-{{ $kind->key() }}">
        @if ($isEdited && request('edit') === 'new')
            @include('remember.partials.named-form', ['stable' => null, 'state' => request('sample') === 'answers' ? ['name' => 'answers', 'draw_order' => 'no_repeat', 'sample' => __('samples.answers')] : ['name' => '']])
        @else
            <a class="plain" href="{{ route($kind->page(), [$channel, 'kind' => $kind->key(), 'edit' => 'new']) }}" hx-get="{{ route('remember.named.new', [$channel, $kind->key()]) }}" hx-target="#new-{{ $kind->key() }}" hx-swap="innerHTML">Make {{ $kind->one() }}</a>
            @if ($kind->key() === 'lists')<a class="small" href="{{ route($kind->page(), [$channel, 'kind' => 'lists', 'edit' => 'new', 'sample' => 'answers']) }}#new-lists">Begin with answers by chance</a>@endif
        @endif
    </div>
@endif
@include('partials.changes', ['kind' => $kind->key()])
@unless ($kind->key() === 'lists' || $find !== '')@include('remember.partials.carry', ['transfer' => $kind->key(), 'of' => null])@endunless
