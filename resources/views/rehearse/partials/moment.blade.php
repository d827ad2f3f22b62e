<h2>Why</h2>
<p><time>{{ $clock->at($mark->millis) }}</time> <b dir="auto">{{ $mark->person }}</b> <span dir="auto">{{ $mark->text }}</span></p>
@foreach ($heard?->outcome->texts() ?? [] as $text)<div class="saying-line"><x-saying :$text :$channel/></div>@endforeach
@if ($heard === null)
    @foreach (array_filter(explode("\n", $mark->said)) as $text)<div class="saying-line"><x-saying :$text :$channel/></div>@endforeach
    @if ($mark->why !== '')<p class="silence">{{ $mark->kind->label() }}: {{ $mark->why }}</p>@endif
    <p class="small">It could not be heard again.</p>
@else
    @if ($heard->outcome->closed)<p class="silence">no reply: @told($heard->outcome->closed->reason)</p>@elseif ($heard->outcome->failed)<p class="silence">failed: @told($heard->outcome->failed->message())</p>@endif
    <ol class="why-list">@foreach ($heard->outcome->trace?->entries() ?? [] as $entry)@if ($entry->kind->value !== 'heard')<li class="why-{{ $entry->kind->value }}">@told($entry->message())</li>@endif @endforeach</ol>
    @can('write', $channel)
        @if ($heard->by !== null && $heard->outcome->command !== null)
            <form method="post" action="{{ route('rehearse.evening.take', [$channel, $row]) }}">@csrf<input type="hidden" name="mark" value="{{ $mark->id }}"><button class="plain">Take it into Write</button> <span class="small">with the same person, memory, moment and seed</span></form>
        @endif
    @endcan
@endif
