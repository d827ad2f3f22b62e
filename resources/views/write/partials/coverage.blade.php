{{-- Whether scripts hold against what is saved, and what of this command none comes to; the text is marked by it. --}}
<section id="coverage" class="coverage" aria-labelledby="coverage-title" data-marks="{{ json_encode($marks, JSON_THROW_ON_ERROR) }}" hx-get="{{ route('write.coverage', [$channel, $row]) }}" hx-trigger="parrot:saved from:body{{ $stand->left > 0 ? ', load delay:100ms' : '' }}" hx-swap="outerHTML">
    <h2 id="coverage-title">Scripts</h2>
    @if ($stand->left > 0)
        <p class="small" role="status"><progress max="{{ count($stand->scripts) }}" value="{{ $stand->ran() }}" aria-label="How many have run"></progress> {{ $stand->ran() }} of {{ count($stand->scripts) }} have run. <button type="button" class="as-link" data-stop-scripts>Stop</button></p>
    @elseif ($stand->broken() !== [])
        <p class="small" role="status">{{ count($stand->broken()) }} of {{ count($stand->scripts) }} {{ count($stand->broken()) === 1 ? 'does' : 'do' }} not hold:</p>
        <ul class="small">@foreach (array_slice($stand->broken(), 0, 5) as $one)<li><a href="{{ route('rehearse.scripts', ['channel' => $channel, 'script' => $one->id]) }}#right-page" dir="auto">{{ $one->title }}</a>: <span class="problem-text" dir="auto">{{ $one->unmet }}</span></li>@endforeach</ul>
        @if (count($stand->broken()) > 5)<p class="small"><a href="{{ route('rehearse.scripts', $channel) }}">{{ count($stand->broken()) - 5 }} more</a></p>@endif
    @elseif ($stand->scripts !== [])
        <p class="small" role="status">{{ match (count($stand->scripts)) { 1 => 'The one script holds.', 2 => 'Both scripts hold.', default => 'All '.count($stand->scripts).' hold.' } }}</p>
    @endif
    @if ($coverage->isBegun())
        <p class="small">{{ $coverage->reached === $coverage->parts ? "They reach all of {$row->trigger}." : "They reach {$coverage->reached} of {$coverage->parts} in {$row->trigger}." }}
            @if ($coverage->missing() !== [])@can('write', $channel)<a href="{{ route('rehearse.scripts', ['channel' => $channel, 'for' => $row->id]) }}#right-page">Suggest scripts</a>@endcan @endif</p>
        @if ($coverage->missing() !== [])<details class="small more"><summary>What they do not reach</summary><ul>@foreach ($coverage->missing() as $one)<li>@told($one->message($coverage->keys))</li>@endforeach</ul></details>@endif
    @else
        <p class="small">None reaches {{ $row->trigger }} yet. @can('write', $channel)<a href="{{ route('rehearse.scripts', ['channel' => $channel, 'for' => $row->id]) }}#right-page">Suggest scripts</a>@endcan</p>
    @endif
</section>
