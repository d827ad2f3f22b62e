{{-- The last changes of one kind of definition, each of which can be taken back until it is changed again. --}}
@php
    $definition = App\Storage\Definitions\DefinitionHistory::kind($kind);
    $changes = App\Storage\Definitions\DefinitionHistory::last($channel, $definition);
    $mayUndo = auth()->user()->can($definition->isForTheStreamer() ? 'manage' : 'write', $channel);
@endphp
@if ($changes->isNotEmpty())
    <details class="changes small"><summary>Changed by {{ $changes->first()->user?->name ?? $changes->first()->viewer?->name ?? 'somebody' }}, {{ $changes->first()->created_at->setTimezone($channel->zone)->format('j M, H:i') }}</summary>
        <ul class="ruled">
            @foreach ($changes as $change)
                <li>{{ $definition->tell($change->subject, $change->before, $change->after) }} <span class="small">{{ $change->user?->name ?? $change->viewer?->name ?? 'somebody' }}, {{ $change->created_at->setTimezone($channel->zone)->format('j M, H:i') }}{{ $change->undone_at === null ? '' : ', taken back' }}</span>
                    @if ($mayUndo && $change->undone_at === null)<form method="post" action="{{ route('definitions.undo', [$channel, $change]) }}" class="inline controls">@csrf<button class="as-link" aria-label="undo: {{ $definition->tell($change->subject, $change->before, $change->after) }}">undo</button></form>@endif</li>
            @endforeach
        </ul></details>
@endif
