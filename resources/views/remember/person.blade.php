@php
    $mayWrite = auth()->user()->can('write', $channel);
    $zone = new DateTimeZone($channel->zone);
    $when = fn (?string $at, string $format = 'j M Y') => $at === null ? '' : (new DateTimeImmutable($at, new DateTimeZone('UTC')))->setTimezone($zone)->format($format);
    $owned = array_filter($person['goods'], fn ($one) => $one['owns'] > 0);
@endphp
<x-book :title="$person['name'].' · '.$channel->name" :channel="$channel" room="remember" :address="route('remember.person', [$channel, $viewer])">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Who it is">
            <div class="page-head"><h1 dir="auto">{{ $person['name'] }}</h1> @include('remember.partials.pages')</div>
            <p>{{ implode(' · ', array_filter([$person['login'], $person['names_before'] === [] ? '' : 'before '.implode(', ', $person['names_before']), implode(', ', $person['levels']), $person['lines'] === 1 ? 'one line' : number_format($person['lines']).' lines', $person['first_seen'] === null ? '' : 'first seen '.$when($person['first_seen']), $person['last_seen'] === null ? '' : 'last seen '.$when($person['last_seen'])])) }}</p>
            @if ($person['ranks'] !== [])<p>{{ implode('; ', $person['ranks']) }}</p>@endif
            <h2>Fields</h2>
            <ul class="ruled">
                @forelse ($person['fields'] as $field)
                    @php($bag = App\Remember\Viewers\FieldValueRequest::bag($field['id']))
                    <li>@if ($mayWrite && $field['byHand'])<form method="post" action="{{ route('remember.person.field', [$channel, $viewer]) }}" class="remembered">@csrf @method('put')<input type="hidden" name="field" value="{{ $field['id'] }}"><span>{{ $field['name'] }}</span> <x-blank name="value" :bag="$bag" :label="$field['name']" :value="$field['value']" maxlength="500" size="18" /> <button class="as-link" aria-label="set {{ $field['name'] }}">set</button></form><x-problem name="value" :bag="$bag" />@else{{ $field['name'] }}: {{ $field['value'] === '' ? 'nothing' : $field['value'] }}@endif</li>
                @empty
                    <li>No fields yet: they are made in Memory.</li>
                @endforelse
            </ul>
            <h2>Owns</h2>
            <p>{{ $owned === [] ? 'Nothing.' : implode(', ', array_map(fn ($one) => $one['owns'] === 1 ? $one['name'] : $one['owns'].' '.$one['name'], $owned)) }}</p>
            @if ($mayWrite)
                @php($things = [...array_map(fn ($one) => ['goods '.$one['id'], $one['name']], $person['goods'])])
                @php($units = array_values(array_filter($person['fields'], fn ($one) => $one['type'] === 'points')))
                @error('act')<p class="problem">{{ $message }}</p>@enderror
                @if ($units !== [])<form method="post" action="{{ route('remember.person.act', [$channel, $viewer]) }}"><p>@csrf<input type="hidden" name="do" value="give">Give <input class="blank short" name="amount" maxlength="16" aria-label="How many"> <select name="what" class="blank" aria-label="Of what">@foreach ($units as $unit)<option value="field {{ $unit['id'] }}">{{ $unit['name'] }}</option>@endforeach</select> to <input class="blank" name="to" size="12" maxlength="60" aria-label="To whom" autocomplete="off"> <button class="plain">Give</button></p></form>@endif
                @if ($things !== [])<form method="post" action="{{ route('remember.person.act', [$channel, $viewer]) }}"><p>@csrf<input class="blank short" name="amount" value="1" inputmode="numeric" maxlength="6" aria-label="How many goods"> <select name="what" class="blank" aria-label="Which goods">@foreach ($things as [$id, $name])<option value="{{ $id }}">{{ $name }}</option>@endforeach</select> <button class="plain" name="do" value="buy">Buy</button> <button class="plain" name="do" value="sell">Sell back</button> or <button class="plain" name="do" value="hand">Give</button> to <input class="blank" name="to" size="12" maxlength="60" aria-label="To whom they go" autocomplete="off"></p></form>@endif
                <form method="post" action="{{ route('remember.person.act', [$channel, $viewer]) }}"><p>@csrf<button class="plain" name="do" value="check">Check in</button> <span class="small">{{ $person['checked_in'] === [] ? 'never yet' : 'last on '.$person['checked_in']['day'].', '.$person['checked_in']['run'].' in a row, the longest was '.$person['checked_in']['longest'] }}</span></p></form>
            @endif
            <h2>Ledger</h2>
            <ul class="ruled">
                @forelse ($person['ledger'] as $move)
                    <li><span class="small">{{ $when($move['at'], 'j M, H:i') }}</span> {{ $move['delta'] > 0 ? '+' : '' }}{{ number_format($move['delta']) }} {{ $move['unit'] }}, {{ number_format($move['amount']) }} then{{ $move['presence'] ? ', for being here' : '' }}</li>
                @empty
                    <li>Nothing earned or spent yet.</li>
                @endforelse
            </ul>
        </section>
        <section class="page facing" id="right-page" aria-label="What they said lately">
            <div class="page-head"><h2>Said lately</h2></div>
            <ul class="ruled">
                @forelse ($person['said'] as $line)
                    <li><span class="small">{{ $when($line['at'], 'j M, H:i') }}</span> <a href="{{ route('publish.chat', [$channel, 'line' => $line['number']]) }}" dir="auto" aria-label="why: {{ $line['text'] }}">{{ $line['text'] === '' ? '…' : $line['text'] }}</a>@if ($line['outcome'] !== '') <div class="small">{{ $line['outcome'] }}</div>@endif</li>
                @empty
                    <li>No line of theirs is kept.</li>
                @endforelse
            </ul>
            <p class="small"><a href="{{ route('remember.person.export', [$channel, $viewer]) }}">Export all that is kept of them</a></p>
            @if ($mayWrite)
                @if (session('merging'))
                    @php($other = session('merging'))
                    <form method="post" action="{{ route('remember.person.merge', [$channel, $viewer]) }}">@csrf<input type="hidden" name="into" value="{{ $other['login'] }}"><input type="hidden" name="confirmed" value="1"><p>All that is {{ $person['name'] }}’s becomes {{ $other['name'] }}’s: amounts are added up, and of fields {{ $other['name'] }}’s stay. This cannot be undone.</p><p><button class="strong">Merge them</button> <a class="plain" href="{{ route('remember.person', [$channel, $viewer]) }}">Cancel</a></p></form>
                @else
                    <form method="post" action="{{ route('remember.person.merge', [$channel, $viewer]) }}">@csrf<p>The same person as <x-blank name="into" label="The other one’s name to sign in with" size="14" maxlength="60" autocomplete="off" /> <button class="plain">Merge</button></p><x-problem name="into" /></form>
                @endif
            @endif
            @can('manage', $channel)
                <form method="post" action="{{ route('remember.person.erase', [$channel, $viewer]) }}">@csrf @method('delete')
                    @if (session('erasing'))<input type="hidden" name="confirmed" value="1"><p>Their names, texts and lines go, those about them too, and so they stay gone when a backup is put back. What they had stays, as someone’s who left. This cannot be undone.</p><p><button class="strong">Forget them for good</button> <a class="plain" href="{{ route('remember.person', [$channel, $viewer]) }}">Cancel</a></p>@else<p><button class="plain">Forget them, as they wish</button></p>@endif
                </form>
            @endcan
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Who it is</a><a href="#right-page">Said lately</a></nav>
</x-book>
