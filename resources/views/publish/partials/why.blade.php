<div class="page-head"><h2>Why</h2><span class="small">edition {{ $line->edition }}</span></div>
<p><b>{{ $line->by->name }}</b> {{ $line->text }}</p>
@if ($outcome === null)
    <p class="small">Its edition is not kept any more, so it cannot be heard again.</p>
@else
    @foreach ($outcome->texts() as $text)<div><x-saying :$text :$channel/></div>@endforeach
    @if ($line->outcome !== '' && $outcome->closed === null && $outcome->failed === null)<p class="silence">{{ $line->outcome }}</p>@endif
    @include('publish.partials.trace')
    <p><a class="plain" href="{{ $command === null ? route('write', ['channel' => $channel, 'line' => $line->number]) : route('write.command', ['channel' => $channel, 'command' => $command, 'line' => $line->number]) }}">Take it into Write{{ $command === null ? '' : ', with '.$command->trigger }}</a>
        <span class="small">the same person, moment, memory and luck, on a copy</span></p>
@endif
