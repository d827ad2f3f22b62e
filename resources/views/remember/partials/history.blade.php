{{-- What changed, by whom, and taking it back. --}}
<ul class="ruled">
    @forelse ($history as $one)
        <li><span class="small">{{ $one['at']->in($zone)->format('j M, H:i:s') }}</span> <b>{{ $one['by'] }}</b> {{ $one['told'] }}
            @if ($one['isUndone'])<span class="small">taken back</span>@elseif ($mayWrite)<form method="post" action="{{ route('remember.undo', [$channel, $one['id']]) }}" class="inline controls">@csrf<button class="as-link" aria-label="undo: {{ $one['told'] }}">undo</button></form>@endif</li>
    @empty
        <li>Nothing has changed yet. Each change stands here, with who caused it, and can be taken back.</li>
    @endforelse
</ul>
