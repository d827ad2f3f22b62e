<ol class="why-list">
    @foreach ($outcome->trace?->entries() ?? [] as $entry)
        @if ($entry->kind->value !== 'heard')<li class="why-{{ $entry->kind->value }}">@told($entry->message())</li>@endif
    @endforeach
</ol>
