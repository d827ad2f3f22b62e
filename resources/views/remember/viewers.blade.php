@php
    $zone = new DateTimeZone($channel->zone);
    $day = fn (?string $at) => $at === null ? '' : (new DateTimeImmutable($at, new DateTimeZone('UTC')))->setTimezone($zone)->format('j M Y');
    $orders = ['last_seen' => 'seen last', 'first_seen' => 'came last', 'lines' => 'most lines'];
    foreach ($units as $unit) { $orders["unit {$unit->id}"] = "most {$unit->many()}"; }
@endphp
<x-book :title="'Viewers · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-single">
        <section class="page" id="left-page" aria-label="Viewers">
            <div class="page-head"><h1>Viewers</h1> @include('remember.partials.pages')</div>
            <form method="get" action="{{ route('remember.viewers', $channel) }}" class="find" role="search">
                <input type="search" name="find" value="{{ $find }}" aria-label="Search by any name they had" placeholder="any name they had" maxlength="100" dir="auto">
                <label class="small">first <select name="by" class="blank" aria-label="Order">@foreach ($orders as $key => $label)<option value="{{ $key }}" @selected($by === $key)>{{ $label }}</option>@endforeach</select></label>
                <button class="plain">Search</button> @if ($find !== '')<a href="{{ route('remember.viewers', $channel) }}">Show all</a>@endif
            </form>
            <ul class="ruled">
                @forelse ($viewers as $viewer)
                    <li><a href="{{ route('remember.person', [$channel, $viewer->id]) }}" dir="auto"><b>{{ $viewer->name }}</b></a>@if (mb_strtolower($viewer->name) !== $viewer->login) <span class="small">{{ $viewer->login }}</span>@endif
                        <span class="small">{{ implode(' · ', array_filter([$viewer->amount === null ? '' : number_format($viewer->amount), $viewer->lines === null ? '' : ($viewer->lines === 1 ? 'one line' : number_format($viewer->lines).' lines'), $viewer->last_seen === null ? '' : 'last seen '.$day($viewer->last_seen)])) }}</span></li>
                @empty
                    <li>{{ $find === '' ? 'Nobody has spoken yet.' : 'Nobody had a name that begins like this.' }}</li>
                @endforelse
            </ul>
            @if ($page > 1 || $hasMore)<p class="small">@if ($page > 1)<a href="{{ route('remember.viewers', array_filter([$channel, 'find' => $find, 'by' => $by, 'page' => $page - 1])) }}">Back</a> @endif page {{ $page }} @if ($hasMore)<a href="{{ route('remember.viewers', array_filter([$channel, 'find' => $find, 'by' => $by, 'page' => $page + 1])) }}">Next</a>@endif</p>@endif
        </section>
    </main>
</x-book>
