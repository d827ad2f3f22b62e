<p class="answer">@include('write.partials.heard', ['outcome' => $preview->outcome])</p>
@if ($preview->outcome->authoredChanges() !== [])
    <p class="small changes">On the air it would change
        @foreach ($preview->outcome->authoredChanges() as $change)
            @php($told = SilverParrot\Hearing\Trace\Told::change($change))
            <span>{{ $told['what'] }} ({{ $told['scope'] }}) {{ $told['from'] === '' ? 'nothing' : $told['from'] }} → {{ $told['to'] === '' ? 'nothing' : $told['to'] }}</span>@if (! $loop->last), @endif
        @endforeach
        (nothing is changed here).</p>
@endif
<dl class="edges" aria-label="At the edges">
    @foreach ($preview->edges as $edge => $outcome)
        <div><dt>{{ $edge }}</dt><dd>@if ($outcome->texts() === $preview->outcome->texts() && $outcome->failed?->getMessage() === $preview->outcome->failed?->getMessage())<span class="because">the same</span>@else @include('write.partials.heard', ['outcome' => $outcome]) @endif</dd></div>
    @endforeach
</dl>
