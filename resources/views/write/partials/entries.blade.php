{{-- The list of commands, and how many were found. --}}
@php($mayWrite = auth()->user()->can('write', $channel))
<div id="entries">
    <p class="small" role="status">
        @if ($find !== '')
            {{ $count }} of {{ $all }} commands {{ $count === 1 ? 'has' : 'have' }} “{{ $find }}”.
        @elseif ($all > 0)
            {{ $all === 1 ? 'One command.' : $all.' commands.' }}
        @endif
    </p>
    @if ($all === 0)
        <p>Nothing is written yet. <a href="{{ route('write.new', $channel) }}">Write the first command</a>.</p>
    @endif
    @foreach ($groups as $group => $entries)
        <h2 class="group">{{ $group === '' ? 'Without a group' : $group }}</h2>
        <ul class="entries">
            @foreach ($entries as $entry)
                <li @class(['entry', 'is-off' => ! $entry->command->isOn()])>
                    <a class="trigger" href="{{ route('write.command', [$channel, $entry->id]) }}">{{ $entry->command->trigger }}</a>
                    @if ($entry->command->triggers->aliases !== [])<span class="aliases">or {{ implode(', ', $entry->command->triggers->aliases) }}</span>@endif
                    @if ($entry->findings > 0)<span class="tally">{{ $entry->findings === 1 ? 'one finding' : $entry->findings.' findings' }}</span>@endif
                    @if ($mayWrite)
                        <span class="controls">
                            <form method="post" action="{{ $at = route('write.switch', [$channel, $entry->id]) }}" class="inline" hx-post="{{ $at }}" hx-include="[data-find]" hx-target="#entries" hx-swap="outerHTML">@csrf<button class="as-link" aria-label="switch {{ $entry->command->isOn() ? 'off' : 'on' }} {{ $entry->command->trigger }}">switch {{ $entry->command->isOn() ? 'off' : 'on' }}</button></form>
                            <a href="{{ route('write.copy', [$channel, $entry->id]) }}" aria-label="duplicate {{ $entry->command->trigger }}">duplicate</a>
                            <form method="post" action="{{ $at = route('write.drop', [$channel, $entry->id]) }}" class="inline" hx-post="{{ $at }}" hx-include="[data-find]" hx-target="#entries" hx-swap="outerHTML">@csrf @method('delete')<button class="as-link" aria-label="delete {{ $entry->command->trigger }}">delete</button></form>
                        </span>
                    @endif
                    @foreach ($entry->command->responses as $response)
                        <p class="says">@include('write.partials.says', ['text' => $response->text()])</p>
                    @endforeach
                    <p class="sentence">{{ $entry->sentence }}</p>
                </li>
            @endforeach
        </ul>
    @endforeach
    @if ($count > 200)<p class="small">The first 200 are shown; search to narrow it down.</p>@endif
    @if ($deleted > 0)<p class="small"><a class="plain" href="{{ route('write.deleted', $channel) }}">Deleted commands ({{ $deleted }})</a></p>@endif
</div>
@isset($notice)<div id="notice" hx-swap-oob="innerHTML">@include('partials.notice')</div>@endisset
