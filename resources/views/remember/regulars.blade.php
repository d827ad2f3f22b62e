@php
    $mayWrite = auth()->user()->can('write', $channel);
    $day = fn ($moment) => $moment->in(new DateTimeZone($channel->zone))->format('j M Y');
@endphp
<x-book :title="'Regulars · '.$channel->name" :channel="$channel" room="remember" :address="route('remember.regulars', $channel)">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Regulars">
            <div class="page-head"><h1>Regulars</h1> @include('remember.partials.pages')</div>
            <p>A level of this channel’s own: commands and replies can be for regulars.</p>
            <ul class="ruled">
                @forelse ($regulars as $one)
                    <li><a href="{{ route('remember.person', [$channel, $one['viewer']->id]) }}" dir="auto"><b>{{ $one['viewer']->name ?: $one['viewer']->login }}</b></a>
                        @if ($one['state']->why === 'never') <span class="small">never, removed {{ $day($one['state']->since) }}</span>
                        @else <span class="small">since {{ $day($one['state']->since) }}, {{ SilverParrot\Memory\RegularState::inWords($one['state']->why) }}{{ $one['state']->until === null ? '' : ', until '.$day($one['state']->until) }}{{ $one['holds'] ? '' : ', over' }}</span> @endif
                        <span class="small">{{ $one['viewer']->days === 1 ? 'seen on one day' : 'seen on '.number_format($one['viewer']->days).' days' }}, {{ $one['viewer']->lines === 1 ? 'one line' : number_format($one['viewer']->lines ?? 0).' lines' }}{{ match (true) { $one['viewer']->minutes_here < 60 => '', $one['viewer']->minutes_here < 120 => ', here for an hour', default => ', here for '.number_format(intdiv($one['viewer']->minutes_here, 60)).' hours' } }}</span>
                        @if ($mayWrite && $one['state']->why !== 'never')<form method="post" action="{{ route('remember.regulars.destroy', [$channel, $one['viewer']->id]) }}" class="inline">@csrf @method('delete')<button class="as-link" aria-label="remove: {{ $one['viewer']->name ?: $one['viewer']->login }}">remove</button></form>@endif</li>
                @empty
                    <li>Nobody is a regular yet.</li>
                @endforelse
            </ul>
        </section>
        <section class="page facing" id="right-page" aria-label="How one becomes a regular">
            <div class="page-head"><h2>How one becomes a regular</h2></div>
            @if ($mayWrite)
                <form method="post" action="{{ route('remember.regulars.store', $channel) }}">
                    @csrf
                    <p>By hand: <x-blank name="login" label="Whose" :value="old('login', '')" size="14" maxlength="60" placeholder="a name" /> until <input type="datetime-local" name="until" value="{{ old('until', '') }}" class="blank" aria-label="Until when; empty for good" @error('until') aria-invalid="true" aria-describedby="until-problem" @enderror> <button class="plain">Make a regular</button></p>
                    <x-problem name="login" /><x-problem name="until" />
                </form>
            @endif
            <form method="post" action="{{ route('remember.regulars.rule', $channel) }}">
                @csrf @method('put') <x-seen :channel="$channel" kind="regulars" />
                <fieldset @disabled(! $mayWrite)>
                    <p>Automatically: after <x-blank name="lines" label="Lines; 0 for never" :value="$channel->regulars['lines'] ?? 0" class="short" inputmode="numeric" maxlength="7" /> lines, or after being seen on <x-blank name="days" label="Days; 0 for never" :value="$channel->regulars['days'] ?? 0" class="short" inputmode="numeric" maxlength="5" /> days, or after <x-blank name="hours" label="Hours; 0 for never" :value="$channel->regulars['hours'] ?? 0" class="short" inputmode="numeric" maxlength="6" /> hours at live streams; 0 for never. @if ($mayWrite)<button class="plain">Save</button>@endif</p>
                    <x-problem name="lines" /><x-problem name="days" /><x-problem name="hours" />
                </fieldset>
            </form>
            <p class="small">Whoever reaches any of them becomes a regular within a minute. Somebody you remove doesn’t become one again automatically.</p>
            @include('partials.changes', ['kind' => 'regulars'])
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Regulars</a><a href="#right-page">Rules</a></nav>
</x-book>
