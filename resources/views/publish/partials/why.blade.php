<div class="page-head"><h2>Why</h2><span class="small">edition {{ $line->edition }}</span></div>
<p><b dir="auto">{{ $line->by->name }}</b> <span dir="auto">{{ $line->text }}</span>@can('write', $channel) <a class="small" href="{{ route('remember.quotes', [$channel, 'line' => $line->number]) }}#right-page">Keep as quote</a>@endcan</p>
@foreach ($deliveries->all as $delivery)
    <div @class(['not-said' => ! $delivery->isSaid()])><x-saying :text="$delivery->text" :$channel/> <span class="small">@told($delivery->message())</span></div>
@endforeach
@foreach ($deliveries->notices as $notice)<p class="silence">Right after it the chat said: {{ $notice }}</p>@endforeach
@if ($line->silence === App\Air\Silence::Parrot)
    <p class="silence">The parrot was silenced when this line came: nothing was said, and nothing was changed.</p>
@elseif ($outcome === null)
    <p class="small">Its edition is not kept any more, so it cannot be heard again.</p>
@else
    @if ($deliveries->all === [] && $outcome->texts() !== [])<p class="silence">No answer to it is kept: it would be “{{ implode('” “', $outcome->texts()) }}”.</p>@endif
    @if ($line->outcome !== '' && $outcome->closed === null && $outcome->failed === null)<p class="silence">{{ $line->outcome }}</p>@endif
    @include('publish.partials.trace')
    <p><a class="plain" href="{{ $command === null ? route('write', ['channel' => $channel, 'line' => $line->number]) : route('write.command', ['channel' => $channel, 'command' => $command, 'line' => $line->number]) }}">Take it into Write{{ $command === null ? '' : ', with '.$command->trigger }}</a>
        <span class="small">with the same person, moment, memory and random seed, on a copy</span></p>
@endif
