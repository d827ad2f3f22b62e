{{-- Which scripts do not hold against the draft: those that have not run since it changed are run, some at a time. --}}
@if ($stand->scripts !== [] || array_filter($stand->replies, fn ($one) => $one['broken'] > 0) !== [])
    <section id="publish-scripts" @if ($stand->left > 0) hx-get="{{ route('publish.scripts', $channel) }}" hx-trigger="load delay:100ms" hx-swap="outerHTML" @endif>
        <h2>Scripts</h2>
        <p role="status">@if ($stand->left > 0)<progress max="{{ count($stand->scripts) }}" value="{{ $stand->ran() }}" aria-label="How many have run"></progress> {{ $stand->ran() }} of {{ count($stand->scripts) }} have run. <a class="plain" href="{{ route('rehearse.scripts', $channel) }}">Stop</a>
            @elseif ($stand->scripts === [])None is written.
            @elseif ($stand->broken() === []){{ match (count($stand->scripts)) { 1 => 'It holds.', 2 => 'Both hold.', default => 'All '.count($stand->scripts).' hold.' } }}
            @else{{ count($stand->broken()) }} of {{ count($stand->scripts) }} {{ count($stand->broken()) === 1 ? 'does' : 'do' }} not hold:@endif</p>
        <ul class="ruled">
            @foreach ($stand->broken() as $one)<li><span aria-hidden="true">✗</span> <a href="{{ route('rehearse.scripts', ['channel' => $channel, 'script' => $one->id]) }}" dir="auto">{{ $one->title }}</a> <span class="small problem-text" dir="auto">{{ $one->unmet }}</span></li>@endforeach
            @foreach ($stand->replies as $one)@if ($one['broken'] > 0)<li><span aria-hidden="true">✗</span> <a href="{{ route('write.command', [$channel, $one['command']]) }}">{{ $one['command']->trigger }}</a> <span class="small">{{ $one['broken'] === 1 ? 'a kept reply is' : "{$one['broken']} kept replies are" }} not as expected</span></li>@endif @endforeach
        </ul>
    </section>
@else<div></div>@endif
