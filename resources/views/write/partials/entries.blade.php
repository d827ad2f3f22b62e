{{-- The list of commands, how many were found, and what can be done with many of them. --}}
@php($mayWrite = auth()->user()->can('write', $channel))
<div id="entries" hx-include="[data-find], [data-order-of-list], [data-shown]" hx-target="#entries" hx-swap="outerHTML">
    <p class="small list-head" role="status">
        @if ($find !== '')
            {{ $count }} of {{ $all }} commands {{ $count === 1 ? 'has' : 'have' }} “{{ $find }}”.
        @elseif ($all > 0)
            {{ $all === 1 ? 'One command.' : $all.' commands.' }}
        @endif
    </p>
    @if ($all === 0)
        <p>Nothing is written yet. <a href="{{ route('write.new', $channel) }}">Write the first command</a>.</p>
    @else
        <form method="get" action="{{ route('write', $channel) }}" class="small list-order">
            <label>In order <select name="order" class="blank" data-order-of-list hx-get="{{ route('write', $channel) }}" hx-trigger="change" hx-push-url="true">@foreach (App\Write\ListOrder::cases() as $one)<option value="{{ $one->value }}" @selected($order === $one)>{{ $one->label() }}</option>@endforeach</select></label>
        </form>
    @endif
    @if ($mayWrite && $count > 0)
        <form method="post" action="{{ $at = route('write.many', $channel) }}" id="many" class="many small" data-many hx-post="{{ $at }}" hidden>
            @csrf
            <b data-many-count aria-live="polite"></b>
            <label><input type="checkbox" name="all" value="1" data-many-all> select all {{ number_format($count) }}</label>
            <select name="do" class="blank" aria-label="What to do with the selected commands" data-shows><option value="off">switch off</option><option value="on">switch on</option><option value="group">move to the group</option><option value="cooldown">set the cooldown to</option><option value="level">set for</option><option value="delete">delete</option></select>
            <span data-shown-for="group cooldown" hidden><input dir="auto" name="value" class="blank" size="10" maxlength="60" aria-label="The group, or the seconds"></span>
            <span data-shown-for="level" hidden><select name="level" class="blank" aria-label="For whom">@foreach (SilverParrot\Chat\Level::cases() as $level)<option value="{{ $level->word() }}">{{ match ($level) { SilverParrot\Chat\Level::Everyone => 'everyone', SilverParrot\Chat\Level::Streamer => 'the streamer', default => $level->plural().' and up' } }}</option>@endforeach</select></span>
            <button class="plain">Apply</button> <button type="button" class="as-link" data-many-none>clear selection</button>
        </form>
    @endif
    @include('write.partials.entry-lines')
    @if ($deleted > 0)<p class="small"><a class="plain" href="{{ route('write.deleted', $channel) }}">Deleted commands ({{ $deleted }})</a></p>@endif
</div>
@isset($notice)<div id="notice" hx-swap-oob="innerHTML">@include('partials.notice')</div>@endisset
