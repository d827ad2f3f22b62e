@php
    $mayWrite = auth()->user()->can('write', $channel);
    $zone = new DateTimeZone($channel->zone);
    $low = $steps === [] ? 0 : min(array_column($steps, 'number'));
    $high = $steps === [] ? 0 : max(array_column($steps, 'number'));
    $whole = collect($numbers)->firstWhere('owner', '');
@endphp
<x-book :title="'counter.'.$counter->name.' · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="The counter">
            <div class="page-head"><h1>counter.{{ $counter->name }}</h1> @include('remember.partials.pages')</div>
            <p class="small">{{ ucfirst($about) }}.@if ($mayWrite) <a href="{{ route('remember', [$channel, 'kind' => 'counters', 'edit' => $counter->id]) }}#named-counters">Change it</a>@endif</p>
            @foreach ($numbers as $number)
                @include('remember.partials.count')
                @if ($counter->scope !== SilverParrot\Pack\CounterScope::Channel && $number['owner'] !== $owner->id)<a class="small" href="{{ route('remember.counter', [$channel, $counter->id, 'of' => $number['owner']]) }}" aria-label="line of {{ $number['scope'] }}">its line</a>@endif
            @endforeach
            @if ($numbers === [])<p>Nothing counted yet.</p>@endif
            @if ($atStart !== null)<p class="small">When the stream began it was {{ $atStart }}: [counter.{{ $counter->name }}.at_start], [counter.{{ $counter->name }}.gained].</p>@endif
            <h2>Over time</h2>
            @if ($points === '')<p>No line yet: it begins with the first change.</p>@else
                <svg class="line" viewBox="-4 -14 448 124" role="img" aria-label="From {{ $steps[0]['number'] }} to {{ $steps[count($steps) - 1]['number'] }} in {{ $count === 1 ? 'one step' : number_format($count).' steps' }}"><text x="0" y="-4">{{ $high }}</text><polyline points="{{ $points }}"/><text x="0" y="106">{{ $low }} · {{ $steps[0]['at']->in($zone)->format('j M, H:i') }}</text><text x="438" y="106" text-anchor="end">{{ $steps[count($steps) - 1]['at']->in($zone)->format('j M, H:i') }}</text></svg>
            @endif
            <p class="small">@if ($mayWrite)<a href="{{ route('write.import', [$channel, 'pasted' => SilverParrot\Pack\Import\CounterCommands::table($counter->name)]) }}">Commands for it</a> · <a href="{{ route('remember.live', [$channel, 'shows' => '['.($counter->scope === SilverParrot\Pack\CounterScope::Category ? "counter.{$counter->name}.total" : "counter.{$counter->name}").']']) }}">Show it live</a>@endif</p>
        </section>
        <section class="page facing" id="right-page" aria-label="History">
            <div class="page-head"><h2>History</h2></div>
            @include('remember.partials.history')
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">The counter</a><a href="#right-page">History</a></nav>
</x-book>
