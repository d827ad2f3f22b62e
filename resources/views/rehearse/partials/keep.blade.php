{{-- What would be kept of a simulated chat, and then that it is: the chat begins anew, or the same would be kept twice. --}}
@if ($isDone && $problem === '')
    <div hx-post="{{ route('rehearse.try', $channel) }}" hx-vals='{"do": "over"}' hx-trigger="load" hx-target="#heard" hx-swap="outerHTML"></div>
    <div id="notice" hx-swap-oob="innerHTML"><p class="notice">{{ count($changes) === 1 ? 'One change is' : count($changes).' changes are' }} kept in the real memory, and the chat begins anew. <a href="{{ route('remember', $channel) }}#right-page">Undo it in the history</a></p></div>
@else
    @if ($problem !== '')<p class="problem" role="alert">{{ $problem }}</p>@endif
    @if ($nobodies !== [])<p class="small">Left out: {{ implode(', ', $nobodies) }}, whom nobody has seen in the real chat.</p>@endif
    @if ($changes === [])
        <p class="small">There is nothing to keep.</p>
    @elseif ($problem === '')
        <p>Keep {{ count($changes) === 1 ? 'this' : 'these '.count($changes) }} in the real memory?</p>
        @foreach ($changes as $told)<div class="change small">{{ $told['what'] }} <span>({{ $told['scope'] }})</span> {{ $told['from'] === '' ? 'nothing' : $told['from'] }} → {{ $told['to'] === '' ? 'nothing' : $told['to'] }}</div>@endforeach
        <p><button type="button" class="strong" hx-post="{{ route('rehearse.keep', $channel) }}" hx-vals='{"confirmed": 1}' hx-target="#keep-changes" hx-swap="innerHTML">Keep them</button></p>
    @endif
@endif
