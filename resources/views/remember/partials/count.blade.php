{{-- One number of a counter, to be put right. --}}
@php
    $bag = App\Remember\CountRequest::bag($counter->name, $number['owner']);
    $isWhole = $counter->scope === SilverParrot\Pack\CounterScope::Channel;
    $label = "counter.{$counter->name}".($isWhole ? '' : ", {$number['scope']}");
@endphp
<form method="post" action="{{ route('remember.count', $channel) }}" class="remembered">@csrf<input type="hidden" name="counter" value="{{ $counter->name }}"><input type="hidden" name="owner" value="{{ $number['owner'] }}">
    @unless ($isWhole)<span>{{ $number['scope'] }}</span>@endunless
    @if ($mayWrite)<x-blank name="number" :bag="$bag" :label="$label" :value="$number['number']" class="short" inputmode="numeric" maxlength="16" /> <button class="as-link" aria-label="set {{ $label }}">set</button>@else{{ $number['number'] }}@endif
</form><x-problem name="number" :bag="$bag" />
