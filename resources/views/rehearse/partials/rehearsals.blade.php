{{-- Rehearsals of the last days, crowds and replays. --}}
@php use SilverParrot\Rehearsal\RehearsalKind; @endphp
<div class="page-head"><h2>Rehearsals</h2></div>
<ul class="entries">
    @forelse ($rehearsals as $one)
        <li class="entry"><a href="{{ route('rehearse.evening', [$channel, $one]) }}" dir="auto">{{ $one->title }}</a>
            @if ($one->kind === RehearsalKind::Crowd)<span class="controls"><a href="{{ route('rehearse.crowd', ['channel' => $channel, 'like' => $one->id]) }}" class="small" aria-label="Again, like {{ $one->title }}">again</a></span>@endif
            <p class="small">{{ $one->created_at->setTimezone($channel->zone)->format('j M, H:i') }} · {{ ($one->options['edition'] ?? false) ? 'the edition on the air' : 'the draft' }}{{ match ($one->kind) { RehearsalKind::Crowd => ', seed '.($one->options['seed'] ?? '1'), RehearsalKind::Night => ' and the edition on the air', RehearsalKind::Replay => ', a chat log' } }}{{ ($one->options['seeds'] ?? 1) > 1 ? ", {$one->options['seeds']} evenings" : '' }} · {{ $one->state->label() }}</p></li>
    @empty
        <li class="empty">None yet. Each is kept for {{ App\Models\RehearsalRow::DAYS }} days, and the last {{ App\Rehearse\Evenings\Evenings::KEPT }} of them.</li>
    @endforelse
</ul>
