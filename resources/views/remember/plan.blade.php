@php
    $mayWrite = auth()->user()->can('write', $channel);
    $names = ['mon' => 'Monday', 'tue' => 'Tuesday', 'wed' => 'Wednesday', 'thu' => 'Thursday', 'fri' => 'Friday', 'sat' => 'Saturday', 'sun' => 'Sunday'];
    $told = fn ($stream) => ($stream->isWeekly() ? $names[$stream->on] : $stream->on).' '.$stream->at;
@endphp
<x-book :title="'Plan of streams · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Plan of streams">
            <div class="page-head"><h1>Plan of streams</h1> @include('remember.partials.pages')</div>
            <p>{{ $next === '' ? 'No stream is planned.' : $next }} <span class="small">In a response: <code>[channel.next]</code>, <code>[until channel.next]</code>; by the clock of {{ $channel->zone }}.</span></p>
            <table class="calendar"><caption class="visually-hidden">The coming weeks</caption>
                <thead><tr>@foreach ($names as $name)<th scope="col"><abbr title="{{ $name }}">{{ mb_substr($name, 0, 3) }}</abbr></th>@endforeach</tr></thead>
                <tbody>
                    @for ($week = 0; $week < $weeks; $week++)
                        <tr>
                            @for ($at = 0; $at < 7; $at++)
                                @php($date = $first->modify('+'.($week * 7 + $at).' days'))
                                @php($day = $date->format('Y-m-d'))
                                @php($isOff = in_array($day, $plan->daysOff, true))
                                <td @class(['is-today' => $day === $today, 'is-past' => $day < $today])><span class="small">{{ $date->format($at === 0 && $week === 0 || $date->format('j') === '1' ? 'j M' : 'j') }}</span>
                                    @foreach ($on[$day] ?? [] as [$time, $stream])<div title="{{ $stream->title }}">{{ $time }}@if ($mayWrite && $day >= $today && count($on[$day]) > 1 && $stream->isWeekly())<form method="post" action="{{ route('remember.plan.day', [$channel, $day]) }}" class="inline">@csrf<input type="hidden" name="at" value="{{ $stream->at }}"><button class="as-link small" aria-label="this one off: {{ $time }}, {{ $date->format('l j F') }}">off</button></form>@endif</div>@endforeach
                                    @foreach ($off[$day] ?? [] as $time)<div class="small">{{ $time }} off @if ($mayWrite && $day >= $today)<form method="post" action="{{ route('remember.plan.day', [$channel, $day]) }}" class="inline">@csrf<input type="hidden" name="at" value="{{ $time }}"><button class="as-link small" aria-label="on again: {{ $time }}, {{ $date->format('l j F') }}">on again</button></form>@endif</div>@endforeach
                                    @if ($mayWrite && $day >= $today && ($isOff || isset($on[$day])))<form method="post" action="{{ route('remember.plan.day', [$channel, $day]) }}">@csrf<button class="as-link small" aria-label="{{ $isOff ? 'off, on again' : 'day off' }}: {{ $date->format('l j F') }}">{{ $isOff ? 'off' : 'day off' }}</button></form>@elseif ($isOff)<div class="small">off</div>@endif</td>
                            @endfor
                        </tr>
                    @endfor
                </tbody>
            </table>
            @include('partials.changes', ['kind' => 'plan'])
        </section>
        <section class="page facing" id="right-page" aria-label="Streams">
            <div class="page-head"><h2>Streams</h2></div>
            <ul class="ruled">
                @forelse ($plan->streams as $number => $stream)
                    <li><b>{{ $told($stream) }}</b> {{ $stream->title }} <span class="small">{{ $stream->minutes }} minutes{{ $stream->category === '' ? '' : ', '.$stream->category }}</span>
                        @if ($mayWrite)<form method="post" action="{{ route('remember.plan.destroy', [$channel, $number]) }}" class="inline controls">@csrf @method('delete')<button class="as-link" aria-label="delete {{ $told($stream) }}">delete</button></form>@endif</li>
                @empty
                    <li>None yet.</li>
                @endforelse
            </ul>
            @if ($mayWrite)
                <form method="post" action="{{ route('remember.plan.store', $channel) }}" autocomplete="off">@csrf
                    <p>On <select name="weekday" class="blank" aria-label="When">@foreach ($names as $key => $name)<option value="{{ $key }}" @selected(old('weekday') === $key)>each {{ $name }}</option>@endforeach<option value="once" @selected(old('weekday') === 'once')>one day</option></select> <x-blank name="date" type="date" label="The day, where it is one" /> at <x-blank name="at" type="time" label="Begins at" value="19:30" /> for <x-blank name="minutes" label="Minutes" value="180" class="short" inputmode="numeric" maxlength="4" /> minutes</p>
                    <p>called <x-blank name="title" label="Title" size="24" maxlength="500" /> in <x-blank name="category" label="Category" size="12" maxlength="100" /> <button class="plain">Add</button></p>
                    @foreach (['date', 'at', 'minutes', 'title', 'category', 'weekday'] as $wrong)<x-problem :name="$wrong" />@endforeach
                </form>
                <h3>As a calendar</h3>
                <form method="post" action="{{ route('remember.plan.bring', $channel) }}" enctype="multipart/form-data">@csrf<p><x-file-field name="calendar" label="An iCalendar file" accept=".ics,text/calendar" /> <button class="plain">Import</button></p></form>
            @endif
            <p class="small"><a href="{{ route('remember.plan.give', $channel) }}">Export as iCalendar</a></p>
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Plan</a><a href="#right-page">Streams</a></nav>
</x-book>
