{{-- Lines of the real chat, with the way to those before them. --}}
@php($zone = new DateTimeZone($channel->zone))
@if ($hasOlder)<li class="older"><a class="plain" href="{{ $older = route('publish.chat', [$channel, 'before' => $lines[0]->number]) }}" hx-get="{{ $older }}" hx-target="closest li" hx-swap="outerHTML">Older lines</a></li>@endif
@foreach ($lines as $line)
    @include('publish.partials.line', ['told' => $line->told($zone), 'isChosen' => $chosen?->number === $line->number])
@endforeach
