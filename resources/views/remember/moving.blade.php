@php
    $mayManage = auth()->user()->can('manage', $channel);
    $kinds = ['viewer' => ['viewer', 'viewers'], 'counter' => ['counter’s number', 'counters’ numbers'], 'field' => ['field of a viewer', 'fields of viewers'], 'goods' => ['thing owned', 'things owned'], 'ever_earned' => ['sum of all ever earned', 'sums of all ever earned'], 'check_in' => ['check-in', 'check-ins'], 'regular' => ['regular', 'regulars'], 'added_items' => ['list with items from the chat', 'lists with items from the chat'], 'occasion' => ['occasion', 'occasions'], 'longest_run' => ['longest run', 'longest runs'], 'last_quote' => ['last number of a quote', 'last numbers of quotes'], 'quote' => ['quote', 'quotes'], 'sold' => ['number sold', 'numbers sold'], 'list_position' => ['place in a list', 'places in lists'], 'drawn' => ['item that was drawn', 'items that were drawn']];
@endphp
<x-book :title="'Moving house · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Take it along">
            <div class="page-head"><h1>Moving house</h1> @include('remember.partials.pages')</div>
            <p>Everything that is remembered of {{ $channel->name }}, in one file: viewers and what they have, counters, occasions, quotes, how far lists were drawn. The commands and what they name are in the <a href="{{ route('write.pack.export', $channel) }}">pack</a>, which comes first where you move to.</p>
            @if ($mayManage)<p><a class="strong" href="{{ route('remember.moving.take', $channel) }}">Export the memory</a></p>@else<p class="small">The streamer exports and imports it.</p>@endif
            <p class="small">One thing a line, as JSON. Names and what people wrote of themselves are in it: keep it where only you can read it.</p>
        </section>
        <section class="page facing" id="right-page" aria-label="Bring it in">
            <div class="page-head"><h2>Bring it in</h2></div>
            @if ($mayManage)
                @if ($progress !== null && ! $progress['isOver'])
                    <div role="status" hx-get="{{ route('remember.moving', $channel) }}" hx-trigger="load delay:1s" hx-select="#right-page" hx-target="#right-page" hx-swap="outerHTML"><progress max="{{ max(1, $progress['lines']) }}" value="{{ $progress['kept'] }}"></progress> {{ number_format($progress['kept']) }} of {{ number_format($progress['lines']) }} lines are kept. <a class="plain" href="{{ route('remember.moving', $channel) }}">Look again</a></div>
                    <form method="post" action="{{ route('remember.moving.stop', $channel) }}">@csrf<p><button class="plain">Stop</button></p></form>
                @elseif ($progress !== null)
                    <p role="status">{{ $progress['failed'] ? 'It ended by a mistake of ours; what was kept until then stays: ' : '' }}{{ $progress['kept'] === 1 ? 'One line is kept.' : number_format($progress['kept']).' lines are kept.' }}</p>
                @endif
                @if ($looked !== null)
                    @if ($looked['counts'] === [])<p>Nothing in it can be kept.</p>@else
                        <p>This would be kept:</p>
                        <ul class="ruled">@foreach ($kinds as $kind => $words)@if (($count = $looked['counts'][$kind] ?? 0) > 0)<li>{{ number_format($count) }} {{ $words[$count === 1 ? 0 : 1] }}</li>@endif @endforeach</ul>
                    @endif
                    @if ($looked['wrong'] > 0)<p class="problem">{{ $looked['wrong'] === 1 ? 'One line is left out' : number_format($looked['wrong']).' lines are left out' }}:</p><ul class="small">@foreach ($looked['problems'] as $problem)<li dir="auto">{{ $problem }}</li>@endforeach</ul>@endif
                    @if ($looked['counts'] !== [])
                        <form method="post" action="{{ route('remember.moving.bring', $channel) }}">@csrf<p>What is here under the same names is replaced; all else stays. It cannot be undone: export what is here first.</p><p><button class="strong">Keep it</button> <a class="plain" href="{{ route('remember.moving', $channel) }}">Cancel</a></p></form>
                    @endif
                @else
                    <form method="post" action="{{ route('remember.moving.look', $channel) }}" enctype="multipart/form-data">@csrf
                        <p><x-file-field name="file" label="The file of a memory" accept=".jsonl,.json,text/plain,application/jsonl" /> <button class="plain">Look at it</button></p><x-problem name="file" />
                        <p class="small">Nothing is kept before you have seen what is in it.</p>
                    </form>
                @endif
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Take it along</a><a href="#right-page">Bring it in</a></nav>
</x-book>
