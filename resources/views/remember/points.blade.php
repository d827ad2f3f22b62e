@php
    use SilverParrot\Pack\EarnedBy;
    $mayWrite = auth()->user()->can('write', $channel);
    $levels = fn (array $rule) => SilverParrot\Document\LevelFormat::readRule(SilverParrot\Document\Document::of($rule))->inWords();
    $sentence = fn ($rule, $field) => ucfirst($levels($rule->levels)).' earn'.($levels($rule->levels) === 'everyone' ? 's' : '').' '.number_format($rule->amount).' '.$field->called($rule->amount)
        .($rule->earned_by === EarnedBy::Line ? ($rule->minutes > 0 ? ' for lines, once every '.($rule->minutes === 1 ? 'minute' : $rule->minutes.' minutes') : ' for each line') : ' for being here, every '.($rule->minutes === 1 ? 'minute' : $rule->minutes.' minutes'))
        .($rule->while_live ? ' while the stream is on.' : ', live or offline.');
@endphp
<x-book :title="'Points · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Points">
            <div class="page-head"><h1>Points</h1> @include('remember.partials.pages')</div>
            @forelse ($units as $unit)
                @php($field = $unit['field'])
                <h2>{{ $field->many() }}</h2>
                <p class="small">{{ $unit['uses'] === [] ? 'Not used in a command' : 'Used in '.implode(', ', array_slice($unit['uses'], 0, 6)) }}. <a href="{{ route('remember', [$channel, 'kind' => 'fields', 'edit' => $field->id]) }}#named-fields">What they are called</a>@if ($mayWrite) · <a href="{{ route('write.import', [$channel, 'pasted' => SilverParrot\Pack\Import\PointsCommands::table($field)]) }}">Commands to show, give and rank them</a>@endif</p>
                <ul class="ruled">
                    @forelse ($rules[$field->id] ?? [] as $rule)
                        <li>{{ $sentence($rule, $field) }} @if ($mayWrite)<form method="post" action="{{ route('remember.points.unearn', [$channel, $rule]) }}" class="inline controls">@csrf @method('delete')<button class="as-link" aria-label="delete: {{ $sentence($rule, $field) }}">delete</button></form>@endif</li>
                    @empty
                        <li>Nobody earns any by themselves yet.</li>
                    @endforelse
                </ul>
                @if ($mayWrite)
                    <form method="post" action="{{ route('remember.points.earn', $channel) }}">@csrf<input type="hidden" name="unit" value="{{ $field->id }}">
                        <p><select name="level" class="blank" aria-label="Who earns">@foreach (SilverParrot\Chat\Level::cases() as $level)<option value="{{ $level->word() }}" @selected(old('level') === $level->word())>{{ ucfirst($level->plural()) }}</option>@endforeach</select> earn <input class="blank short" name="amount" value="{{ old('amount', 1) }}" inputmode="numeric" maxlength="7" aria-label="How many"> for <select name="earned_by" class="blank" aria-label="For what"><option value="being_here">being here</option><option value="line" @selected(old('earned_by') === 'line')>a line</option></select>, every <input class="blank short" name="minutes" value="{{ old('minutes', 10) }}" inputmode="numeric" maxlength="4" aria-label="Minutes"> minutes <span class="small">(0: each line)</span> <label><input type="checkbox" name="offline_too" value="1" @checked(old('offline_too'))> offline too</label> <button class="plain">Add</button></p>
                        @foreach (['amount', 'minutes', 'unit'] as $wrong)<x-problem :name="$wrong" />@endforeach
                    </form>
                    <form method="post" action="{{ route('remember.points.hand', [$channel, $field->id]) }}"><p>@csrf Hand out <input class="blank short" name="amount" inputmode="numeric" maxlength="16" aria-label="How many {{ $field->many() }}"> {{ $field->many() }} to {{ $unit['here'] === 1 ? 'the one who is here' : 'each of the '.$unit['here'].' who are here' }} <button class="plain">Hand out</button> <span class="small">here is whoever wrote within ten minutes</span></p></form>
                @endif
                <h3>Who has the most</h3>
                <ol class="small">@forelse ($unit['best'] as [$person, $amount])<li dir="auto">{{ $person->name }}, {{ number_format($amount) }}</li>@empty<li>Nobody yet.</li>@endforelse</ol>
            @empty
                <p>No points yet. Make a field that holds points in <a href="{{ route('remember', [$channel, 'kind' => 'fields', 'edit' => 'new']) }}#new-fields">Memory</a>.</p>
            @endforelse
            @include('partials.changes', ['kind' => 'earnings'])
        </section>
        <section class="page facing" id="right-page" aria-label="Ranks and goods">
            <div class="page-head"><h2>Ranks</h2></div>
            @foreach ($units as $unit)
                @php($field = $unit['field'])
                @php($ladder = $unit['ladder'])
                @php($typed = implode("\n", array_map(fn ($least, $name) => "$least $name", array_reverse(array_keys($ladder?->ranks ?? [])), array_reverse(array_values($ladder?->ranks ?? [])))))
                @if ($mayWrite)
                    <form method="post" action="{{ route('remember.points.ranks', [$channel, $field->id]) }}">@csrf @method('put')
                        <p class="line-field"><label for="ranks-{{ $loop->index }}">By {{ $field->many() }}: the least that is needed and the name, one a line</label><textarea id="ranks-{{ $loop->index }}" name="ranks" rows="5" dir="auto" @error('ranks') aria-invalid="true" aria-describedby="ranks-problem" @enderror>{{ old('ranks', $typed) }}</textarea></p><x-problem name="ranks" />
                        <p><label><input type="checkbox" name="by_ever_earned" value="1" @checked($ladder?->byEverEarned)> By all ever earned: spending costs nobody their rank</label></p>
                        <p><label><input type="checkbox" name="off" value="1" @checked($ladder !== null && ! $ladder->isOn)> Switched off: nobody holds one</label></p>
                        <p><button class="plain">Save the ranks</button></p>
                    </form>
                @else<p>{{ $typed === '' ? 'None.' : str_replace("\n", ', ', $typed) }}</p>@endif
            @endforeach
            @include('partials.changes', ['kind' => 'ladders'])
            <h2>Goods</h2>
            <ul class="ruled">
                @forelse ($goods as $one)
                    <li><b>{{ $one->name }}</b> <span class="small">{{ $one->price === 0 ? 'not for sale' : number_format($one->price).' each' }}{{ $one->stock === null ? '' : ', '.number_format($one->stock).' to be sold' }}{{ $one->buyBack === 0 ? '' : ', bought back for '.number_format($one->buyBack) }}</span></li>
                @empty
                    <li>None yet.</li>
                @endforelse
            </ul>
            <p class="small"><a href="{{ route('remember', $channel) }}#named-goods">Make and change goods</a></p>
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Points</a><a href="#right-page">Ranks and goods</a></nav>
</x-book>
