{{-- The why of each line, beside the chat. One is shown at a time. --}}
<div id="whys" class="notes" data-notes="right" @if ($isAnswer ?? false) hx-swap-oob="true" @endif>
    @foreach ($heard as $index => $one)
        <div class="why" id="why-{{ $index }}" data-for="line-{{ $index }}" hidden>
            <h2>Why</h2>
            <ol>
                @foreach ($one->outcome->trace?->entries() ?? [] as $entry)
                    @if ($entry->kind->value !== 'heard')<li class="why-{{ $entry->kind->value }}">@told($entry->message())</li>@endif
                @endforeach
            </ol>
        </div>
    @endforeach
</div>
