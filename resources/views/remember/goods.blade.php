@php
    $mayWrite = auth()->user()->can('write', $channel);
    $kind = new App\Storage\Definitions\Named\GoodsForSale;
@endphp
<x-book :title="'Goods · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Goods">
            <div class="page-head"><h1>Goods</h1> @include('remember.partials.pages')</div>
            <p class="small">What viewers can own. Prices are in the first <a href="{{ route('remember.points', $channel) }}">points</a>.</p>
            @include('remember.partials.named')
        </section>
        <section class="page facing" id="right-page" aria-label="Who owns them">
            <div class="page-head"><h2>Who owns them</h2></div>
            @forelse ($owned as $one)
                <h3>{{ $one['goods']->name }}</h3>
                <p class="small">{{ $one['owned'] === 0 ? 'Nobody owns one.' : number_format($one['owned']).' owned by '.($one['owners'] === 1 ? 'one viewer' : number_format($one['owners']).' viewers').'.' }} {{ number_format($one['sold']) }} sold{{ $one['left'] === null ? '' : ', '.number_format($one['left']).' left' }}.</p>
                @if ($one['most'] !== [])<ol class="small">@foreach ($one['most'] as $owner)<li dir="auto"><a href="{{ route('remember.person', [$channel, $owner['id']]) }}">{{ $owner['name'] }}</a>, {{ number_format($owner['has']) }}</li>@endforeach</ol>@endif
            @empty
                <p>None yet. Make one on the left: a price, how many there are, and what the channel gives for one.</p>
            @endforelse
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Goods</a><a href="#right-page">Who owns them</a></nav>
</x-book>
