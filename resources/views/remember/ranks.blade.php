@php
    $mayWrite = auth()->user()->can('write', $channel);
    $lines = fn ($ladder) => implode("\n", array_map(fn ($least, $name) => "$least $name", array_reverse(array_keys($ladder?->ranks ?? [])), array_reverse(array_values($ladder?->ranks ?? []))));
@endphp
<x-book :title="'Ranks · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Ranks">
            <div class="page-head"><h1>Ranks</h1> @include('remember.partials.pages')</div>
            @forelse ($ladders as $id => $one)
                @php($ladder = $one['ladder'])
                <h2>By {{ $one['field']->many() }}</h2>
                @if ($ladder === null)
                    <p class="small">No ranks by {{ $one['field']->many() }}. @if ($mayWrite)<a href="{{ route('remember.ranks', [$channel, 'of' => $id]) }}#right-page">Make them</a>@endif</p>
                @else
                    <p class="small">{{ $ladder->isOn ? '' : 'Switched off: nobody holds one. ' }}{{ $ladder->byEverEarned ? 'By all ever earned: spending costs nobody their rank.' : 'By what is held.' }} @if ($mayWrite && $chosen !== $one)<a href="{{ route('remember.ranks', [$channel, 'of' => $id]) }}#right-page">Change them</a>@endif</p>
                    <ul class="ruled">
                        @foreach ($ladder->ranks as $least => $name)
                            <li dir="auto"><b>{{ $name }}</b> <span class="small">from {{ number_format($least) }}; {{ match ($one['holders'][$least] ?? 0) { 0 => 'nobody now', 1 => 'one viewer', default => number_format($one['holders'][$least]).' viewers' } }}</span></li>
                        @endforeach
                    </ul>
                    @foreach (['When somebody rises' => $ladder->rises, 'When somebody falls' => $ladder->falls] as $when => $text)@if ($text !== '')<p class="small">{{ $when }}: <span class="says" dir="auto">{{ $text }}</span></p>@endif @endforeach
                @endif
            @empty
                <p>Ranks go by points or by a number that is kept of each viewer. Make such a field in <a href="{{ route('remember', [$channel, 'kind' => 'fields', 'edit' => 'new']) }}#new-fields">Memory</a>.</p>
            @endforelse
            @include('partials.changes', ['kind' => 'ladders'])
        </section>
        <section class="page facing" id="right-page" aria-label="Change ranks">
            @if ($chosen !== null && $mayWrite)
                @php($ladder = $chosen['ladder'])
                <div class="page-head"><h2>Ranks by {{ $chosen['field']->many() }}</h2></div>
                <form method="post" action="{{ route('remember.ranks.update', [$channel, $chosen['field']->id]) }}" class="named-form">@csrf @method('put')
                    <p class="line-field"><label for="ranks">The least that is needed and the name, one a line</label><textarea id="ranks" name="ranks" rows="6" dir="auto" placeholder="10 Deckhand" @error('ranks') aria-invalid="true" aria-describedby="ranks-problem" @enderror>{{ old('ranks', $lines($ladder)) }}</textarea></p><x-problem name="ranks" />
                    <p><label><input type="checkbox" name="by_ever_earned" value="1" @checked(old('ranks') === null ? $ladder?->byEverEarned : old('by_ever_earned'))> By all ever earned: spending costs nobody their rank</label></p>
                    <p><label><input type="checkbox" name="off" value="1" @checked(old('ranks') === null ? $ladder !== null && ! $ladder->isOn : old('off'))> Switched off: nobody holds one, and nothing is lost</label></p>
                    <p class="line-field"><label for="rises">Say when somebody comes to a higher rank (empty: nothing)</label><textarea id="rises" name="rises" rows="2" maxlength="2000" dir="auto" placeholder="[caller] is [outcome.after] now!" @error('rises') aria-invalid="true" aria-describedby="rises-problem" @enderror>{{ old('rises', $ladder?->rises) }}</textarea></p><x-problem name="rises" />
                    <p class="line-field"><label for="falls">Say when somebody comes to a lower one (empty: nothing)</label><textarea id="falls" name="falls" rows="2" maxlength="2000" dir="auto" placeholder="[caller] was [outcome.before]." @error('falls') aria-invalid="true" aria-describedby="falls-problem" @enderror>{{ old('falls', $ladder?->falls) }}</textarea></p><x-problem name="falls" />
                    <p class="small">It is said in the chat, behind the answer that moved them; who earns by being here is told of too, three at a time at most.</p>
                    <p><button class="strong">Save the ranks</button></p>
                </form>
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Ranks</a><a href="#right-page">Change them</a></nav>
</x-book>
