@php
    $mayWrite = auth()->user()->can('write', $channel);
    $zone = new DateTimeZone($channel->zone);
    $isMaking = request('edit') === 'new' || request()->integer('line') > 0;
@endphp
<x-book :title="'Quotes · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Quotes">
            <div class="page-head"><h1>Quotes</h1> @include('remember.partials.pages')</div>
            <form method="get" action="{{ route('remember.quotes', $channel) }}" class="find" role="search">
                <input type="search" name="find" value="{{ $find }}" aria-label="Search by number, words or person" placeholder="number, words or person" maxlength="200" dir="auto"> <button class="plain">Search</button>
                @if ($find !== '' || $by !== '')<a href="{{ route('remember.quotes', $channel) }}">Show all</a>@endif
            </form>
            @if ($missing !== '')<p>{{ $missing }}</p>
            @elseif ($find !== '' || $by !== '')<p class="small">{{ $count === 1 ? 'One quote' : number_format($count).' quotes' }}{{ $by === '' ? '' : ' by '.$by }}</p>@endif
            <ul class="ruled">
                @forelse ($shown as $quote)
                    <li id="quote-{{ $quote->number }}">
                        @if ($edited?->number === $quote->number && $mayWrite)
                            @include('remember.partials.quote-form', ['quote' => $quote, 'isNew' => false])
                        @else
                            <b>{{ $quote->number }}</b> <span dir="auto">“{{ $quote->text }}”</span>
                            <div class="small">@if ($quote->by !== '')<a href="{{ route('remember.quotes', [$channel, 'by' => $quote->by]) }}" dir="auto">{{ $quote->by }}</a>@if (preg_match('#^https?://#D', $quote->link) === 1) <a href="{{ $quote->link }}" rel="noopener noreferrer nofollow">link</a>@endif · @endif{{ implode(' · ', array_filter([$quote->date === null ? '' : $printer->date($quote->date, $channel->quote_dates), $quote->category, $quote->keptBy === '' ? '' : 'kept by '.$quote->keptBy])) }}
                                @if ($mayWrite)<span class="controls"><a href="{{ route('remember.quotes', array_filter([$channel, 'find' => $find, 'by' => $by, 'page' => $page > 1 ? $page : null, 'edit' => $quote->number])) }}#quote-{{ $quote->number }}" aria-label="edit quote {{ $quote->number }}">edit</a>
                                    <form method="post" action="{{ route('remember.quotes.destroy', [$channel, $quote->number]) }}" class="inline">@csrf @method('delete')<button class="as-link" aria-label="delete quote {{ $quote->number }}">delete</button></form></span>@endif</div>
                        @endif</li>
                @empty
                    @if ($isEmpty)<li>No quotes yet. Keep the first one here, or keep a line of the real chat from its why.</li>@elseif ($missing === '')<li>No quote has all of these words. A word may be typed by its beginning.</li>@endif
                @endforelse
            </ul>
            @if ($pages > 1)
                <p class="small">@if ($page > 1)<a href="{{ route('remember.quotes', array_filter([$channel, 'find' => $find, 'by' => $by, 'page' => $page - 1])) }}">Newer</a> @endif page {{ $page }} of {{ $pages }} @if ($page < $pages)<a href="{{ route('remember.quotes', array_filter([$channel, 'find' => $find, 'by' => $by, 'page' => $page + 1])) }}">Older</a>@endif</p>
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="Keep a quote">
            <div class="page-head"><h2>{{ $mayWrite ? 'Keep a quote' : 'How quotes are drawn' }}</h2></div>
            @if ($mayWrite)
                @include('remember.partials.quote-form', ['quote' => $new, 'isNew' => true])
                <h3>How quotes are drawn</h3>
                <form method="post" action="{{ route('remember.quotes.habits', $channel) }}">@csrf @method('put')
                    <x-seen :$channel kind="quotes" />
                    <p><label><input type="checkbox" name="all_once" value="1" @checked($channel->quotes_all_once)> A drawn quote comes again only when all others have come</label></p>
                    <p>Dates are written <x-blank name="dates" label="Pattern of dates" :value="$channel->quote_dates" size="12" maxlength="40" placeholder="d MMM y" /> <span class="small">d day, MMM month, y year; empty: as the language writes them</span></p><x-problem name="dates" />
                    <p><button class="plain">Save</button></p>
                </form>
                @include('partials.changes', ['kind' => 'quotes'])
                @include('remember.partials.carry', ['transfer' => 'quotes', 'of' => null])
            @else
                <p>{{ $channel->quotes_all_once ? 'A drawn quote comes again only when all others have come.' : 'Each is drawn freely.' }}</p>
            @endif
            <p class="small">In a response: <code>[quote]</code>, <code>[quote 12]</code>, <code>[quote words]</code>, <code>[quote by=target]</code>, <code>[quote.newest]</code>.</p>
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Quotes</a><a href="#right-page">Keep one</a></nav>
</x-book>
