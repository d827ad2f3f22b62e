<p class="answer">@include('write.partials.heard', ['outcome' => $preview->outcome])</p>
@if ($preview->outcome->authoredChanges() !== [])
    <p class="small changes">On the air it would change
        @foreach ($preview->outcome->authoredChanges() as $change)
            @php($told = SilverParrot\Hearing\Trace\ChangePresenter::change($change))
            <span>{{ $told['what'] }} ({{ $told['scope'] }}) {{ $told['from'] === '' ? 'nothing' : $told['from'] }} → {{ $told['to'] === '' ? 'nothing' : $told['to'] }}</span>@if (! $loop->last), @endif
        @endforeach
        (nothing is changed here).</p>
@endif
@if ($preview->all !== [])
    <dl class="edges" aria-label="Every reply and branch">
        @foreach ($preview->all as [$which, $outcome])
            <div><dt>{{ $which === '' ? 'the reply' : $which }}</dt><dd>@include('write.partials.heard')</dd></div>
        @endforeach
    </dl>
@endif
<dl class="edges" aria-label="At the edges">
    @foreach ($preview->otherEdges() as $edge => $outcome)
        <div><dt>{{ $edge }}</dt><dd>@include('write.partials.heard', ['outcome' => $outcome])</dd></div>
    @endforeach
    @if ($preview->sameEdges() !== [])
        <div class="whole"><dt>same reply</dt><dd class="because">{{ implode(', ', $preview->sameEdges()) }}</dd></div>
    @endif
</dl>
@if ($preview->length !== null)
    <p class="length small">
        <svg viewBox="0 0 {{ $preview->length::WIDTH }} 10" width="{{ $preview->length::WIDTH }}" height="10" aria-hidden="true">
            <rect class="all" width="{{ $preview->length->picture()['allowed'] }}" height="10"/>
            <rect class="can" x="{{ $preview->length->picture()['from'] }}" y="3" width="{{ $preview->length->picture()['wide'] }}" height="4"/>
            @if ($preview->length->isOver())
                <path class="end" d="M{{ $preview->length->picture()['allowed'] }} 0v10"/>
            @endif
        </svg>
        <span>{{ $preview->length->inWords() }}</span>
        @if ($preview->length->note() !== '')<span class="because">{{ $preview->length->note() }}</span>@endif
        @if ($preview->length->where() !== '')
            <span class="because">Longest where {{ $preview->length->where() }}.</span>
        @endif
    </p>
@endif
