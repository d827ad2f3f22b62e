{{-- How all scripts stand; those that have not run against the draft as it is are run, some at a time. --}}
<div id="scripts-stand" @if ($stand->left > 0) hx-get="{{ $again ?? route('rehearse.scripts.stand', $channel) }}" hx-trigger="load delay:100ms" hx-swap="outerHTML" @endif>
    @if ($stand->scripts !== [])
        <p role="status">@if ($stand->left > 0)<progress max="{{ count($stand->scripts) }}" value="{{ $stand->ran() }}" aria-label="How many have run"></progress> {{ $stand->ran() }} of {{ count($stand->scripts) }} have run. <a class="plain" href="{{ route('rehearse', $channel) }}">Stop</a>
            @elseif ($stand->broken() === []){{ match (count($stand->scripts)) { 1 => 'It holds.', 2 => 'Both hold.', default => 'All '.count($stand->scripts).' hold.' } }}
            @else{{ count($stand->broken()) }} of {{ count($stand->scripts) }} {{ count($stand->broken()) === 1 ? 'does' : 'do' }} not hold.@endif</p>
    @endif
    @if ($stand->scripts !== [])<form method="post" action="{{ route('rehearse.scripts.again', $channel) }}" id="run-again">@csrf</form>@endif
    <ul class="entries">
        @forelse ($stand->scripts as $one)
            <li @class(['entry', 'is-chosen' => ($chosen ?? null) === $one->id])>@can('write', $channel)<input type="checkbox" form="run-again" name="chosen[]" value="{{ $one->id }}" aria-label="Choose {{ $one->title }}"> @endcan<span class="sign" aria-hidden="true">{{ match ($one->holds) { true => '✓', false => '✗', default => '·' } }}</span><span class="visually-hidden">{{ match ($one->holds) { true => 'holds:', false => 'does not hold:', default => 'has not run:' } }}</span>
                <a href="{{ route('rehearse.scripts', ['channel' => $channel, 'script' => $one->id]) }}#right-page" dir="auto">{{ $one->title }}</a>
                @if ($one->unmet !== null)<p class="small problem-text" dir="auto">{{ $one->unmet }}</p>@endif</li>
        @empty
            <li class="empty">None yet.</li>
        @endforelse
    </ul>
    @if ($stand->scripts !== [])@can('write', $channel)<p class="small"><button class="plain" form="run-again">Run again</button> all, or those that are ticked.</p>@endcan @endif
    @if ($stand->replies !== [])
        <h2 class="group">Replies kept as expected</h2>
        <ul class="entries">@foreach ($stand->replies as $one)<li class="entry"><span class="sign" aria-hidden="true">{{ $one['broken'] === 0 ? '✓' : '✗' }}</span> <a href="{{ route('write.command', [$channel, $one['command']]) }}#expectations">{{ $one['command']->trigger }}</a> <span class="small">{{ $one['kept'] === 1 ? 'one reply' : "{$one['kept']} replies" }}{{ match (true) { $one['broken'] === 0 => ', as expected', $one['kept'] === 1 => ', not as expected', default => ", {$one['broken']} not as expected" } }}</span> @can('write', $channel)<form method="post" action="{{ route('rehearse.scripts.replies', [$channel, $one['command']]) }}" class="inline">@csrf<button class="as-link small">{{ $one['kept'] === 1 ? 'make it a script' : 'make them scripts' }}</button></form>@endcan</li>@endforeach</ul>
    @endif
</div>
