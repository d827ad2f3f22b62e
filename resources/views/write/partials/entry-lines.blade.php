{{-- Some lines of the list, and what brings the next. --}}
@php($mayWrite = auth()->user()->can('write', $channel))
@foreach ($groups as [$group, $entries])
    @if ($group !== null)
        <h2 class="group" data-group="{{ $group }}"><button type="button" class="fold" data-fold aria-expanded="true">{{ $group === '' ? 'Without a group' : $group }}</button>
            @if ($mayWrite)<form method="post" action="{{ $at = route('write.many', $channel) }}" class="inline controls" hx-post="{{ $at }}">@csrf<input type="hidden" name="in" value="{{ $group }}"><button class="as-link" name="do" value="off" aria-label="switch all off: {{ $group === '' ? 'Without a group' : $group }}">all off</button> <button class="as-link" name="do" value="on" aria-label="switch all on: {{ $group === '' ? 'Without a group' : $group }}">all on</button></form>@endif</h2>
    @endif
    <ul class="entries">
        @foreach ($entries as $entry)
            <li @class(['entry', 'is-off' => ! $entry->command->isOn()]) data-in="{{ $entry->command->about->group }}">
                @if ($mayWrite)<input type="checkbox" name="chosen[]" value="{{ $entry->id }}" form="many" data-choose aria-label="select {{ $entry->command->trigger }}">@endif
                <a class="trigger" href="{{ route('write.command', [$channel, $entry->id]) }}">{{ $entry->command->trigger }}</a>
                @if ($entry->command->triggers->aliases !== [])<span class="aliases">or {{ implode(', ', $entry->command->triggers->aliases) }}</span>@endif
                @if (isset($changedInChat[$entry->command->id]))<a class="small" href="{{ route('write.from-chat', $channel) }}">changed from chat</a>@endif
                @if ($entry->findings > 0)<span class="tally">{{ $entry->findings === 1 ? 'one finding' : $entry->findings.' findings' }}</span>@endif
                <span class="controls">
                    <button type="button" class="as-link" data-open-entry aria-expanded="false" aria-label="open {{ $entry->command->trigger }}">open</button>
                    @if ($mayWrite)
                        <form method="post" action="{{ $at = route('write.switch', [$channel, $entry->id]) }}" class="inline" hx-post="{{ $at }}">@csrf<button class="as-link" aria-label="switch {{ $entry->command->isOn() ? 'off' : 'on' }} {{ $entry->command->trigger }}">switch {{ $entry->command->isOn() ? 'off' : 'on' }}</button></form>
                        <a href="{{ route('write.copy', [$channel, $entry->id]) }}" aria-label="duplicate {{ $entry->command->trigger }}">duplicate</a>
                        <form method="post" action="{{ $at = route('write.drop', [$channel, $entry->id]) }}" class="inline" hx-post="{{ $at }}">@csrf @method('delete')<button class="as-link" aria-label="delete {{ $entry->command->trigger }}">delete</button></form>
                    @endif
                </span>
                @if ($entry->said !== null)<p class="says is-said" dir="auto">{{ $entry->said }}</p>@endif
                @foreach ($entry->command->responses as $response)
                    <p class="says">@include('write.partials.says', ['text' => $response->text()])</p>
                @endforeach
                <p class="sentence">{{ $entry->sentence }}@if ($entry->used() !== '') <span class="used">{{ $entry->used() }}</span>@endif</p>
            </li>
        @endforeach
    </ul>
@endforeach
@if ($groups !== [])<input type="hidden" name="shown" value="{{ $next ?? $count }}" data-shown>@endif
@if ($next !== null)
    <p class="small" hx-get="{{ $at = route('write', ['channel' => $channel, 'find' => $find, 'order' => $order->value, 'from' => $next]) }}" hx-trigger="{{ $from === 0 ? 'load' : 'intersect once' }}" hx-target="this" hx-include="this" hx-swap="outerHTML"><a href="{{ $at }}">Show more commands</a></p>
@endif
