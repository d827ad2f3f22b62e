{{-- Rehearsals of the last days, crowds and replays. --}}
<div class="page-head"><h2>Rehearsals</h2></div>
<ul class="entries">
    @forelse ($rehearsals as $one)
        <li class="entry"><a href="{{ route('rehearse.evening', [$channel, $one]) }}" dir="auto">{{ $one->title }}</a>
            @if ($one->kind === 'crowd')<span class="controls"><a href="{{ route('rehearse.crowd', ['channel' => $channel, 'like' => $one->id]) }}" class="small" aria-label="Again, like {{ $one->title }}">again</a></span>@endif
            <p class="small">{{ $one->created_at->setTimezone($channel->zone)->format('j M, H:i') }} · {{ ($one->options['edition'] ?? false) ? 'the edition on the air' : 'the draft' }}{{ $one->kind === 'crowd' ? ', seed '.($one->options['seed'] ?? '1') : ($one->kind === 'night' ? ' and the edition on the air' : ', a chat log') }}{{ ($one->options['seeds'] ?? 1) > 1 ? ", {$one->options['seeds']} evenings" : '' }} · {{ ['waiting' => 'waiting', 'running' => 'under way', 'stopping' => 'stopping', 'done' => 'heard', 'stopped' => 'stopped', 'failed' => 'failed'][$one->state->value] }}</p></li>
    @empty
        <li class="empty">None yet. Each is kept for {{ App\Models\RehearsalRow::DAYS }} days.</li>
    @endforelse
</ul>
