@php
    $mayWrite = auth()->user()->can('write', $channel);
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
                        <li>{{ $told[$rule->stable_id] }} @if ($mayWrite)<form method="post" action="{{ route('remember.points.unearn', [$channel, $rule]) }}" class="inline controls">@csrf @method('delete')<button class="as-link" aria-label="delete: {{ $told[$rule->stable_id] }}">delete</button></form>@endif</li>
                    @empty
                        <li>Nobody earns any by themselves yet.</li>
                    @endforelse
                </ul>
                @if ($mayWrite)
                    <form method="post" action="{{ route('remember.points.earn', $channel) }}">@csrf<input type="hidden" name="unit" value="{{ $field->id }}">
                        <p><select name="level" class="blank" aria-label="Who earns">@foreach (SilverParrot\Chat\Level::cases() as $level)<option value="{{ $level->word() }}" @selected(old('level') === $level->word())>{{ ucfirst($level->plural()) }}</option>@endforeach</select> earn <input class="blank short" name="amount" value="{{ old('amount', 1) }}" inputmode="numeric" maxlength="7" aria-label="How many"> for <select name="earned_by" class="blank" aria-label="For what"><option value="being_here">being here</option><option value="line" @selected(old('earned_by') === 'line')>a line</option></select>, every <input class="blank short" name="minutes" value="{{ old('minutes', 10) }}" inputmode="numeric" maxlength="4" aria-label="Minutes"> minutes <span class="small">(0: each line)</span> <label><input type="checkbox" name="offline_too" value="1" @checked(old('offline_too'))> offline too</label> <button class="plain">Add</button></p>
                        @foreach (['amount', 'minutes', 'unit'] as $wrong)<x-problem :name="$wrong" />@endforeach
                    </form>
                    <form method="post" action="{{ route('remember.points.hand', [$channel, $field->id]) }}"><p>@csrf Hand out <input class="blank short" name="amount" inputmode="numeric" maxlength="16" aria-label="How many {{ $field->many() }}"> {{ $field->many() }} to {{ $unit['here'] === 1 ? 'the one who is here' : 'each of the '.$unit['here'].' who are here' }} <button class="plain">Hand out</button> <span class="small">{{ $isListed ? 'here is whoever stands on the chat’s own list of people and ever wrote something' : 'here is whoever wrote within ten minutes: the chat gives no list of people' }}</span></p></form>
                @endif
            @empty
                <p>No points yet. Make a field that holds points in <a href="{{ route('remember', [$channel, 'kind' => 'fields', 'edit' => 'new']) }}#new-fields">Memory</a>.</p>
            @endforelse
            @include('partials.changes', ['kind' => 'earnings'])
        </section>
        <section class="page facing" id="right-page" aria-label="Who has the most">
            <div class="page-head"><h2>Who has the most</h2></div>
            @foreach ($units as $unit)
                <h3>{{ $unit['field']->many() }}</h3>
                <ol>@forelse ($unit['best'] as [$person, $amount])<li dir="auto">{{ $person->name }}, {{ number_format($amount) }}</li>@empty<li>Nobody yet.</li>@endforelse</ol>
            @endforeach
            <p class="small">Spent on <a href="{{ route('remember.goods', $channel) }}">goods</a>; they give <a href="{{ route('remember.ranks', $channel) }}">ranks</a>.</p>
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Points</a><a href="#right-page">Who has the most</a></nav>
</x-book>
