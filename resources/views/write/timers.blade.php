@php
    use App\Write\TimerForm;
    use SilverParrot\Hearing\Timers\TimerPicture;
    $mayWrite = auth()->user()->can('write', $channel);
@endphp
<x-book :title="'Timers · '.$channel->name" :channel="$channel" room="write" :address="route('write.timers', $channel)">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Timers">
            <div class="page-head"><h1>Timers</h1> <a class="plain" href="{{ route('write', $channel) }}">Commands</a></div>
            <p>What the parrot says by itself while people write. It waits until its time has passed and enough lines have come, and speaks at least {{ intdiv(SilverParrot\Hearing\Timers\TimerClock::APART, 60) }} minutes after another.</p>
            @foreach ($rows as $place => $row)
                @php([$timer, $stand, $form] = [$timers[$place], $stands[$place], TimerForm::of($timers[$place])])
                <article class="timer" id="timer-{{ $row->id }}">
                    <h2 class="group">{{ $timer->name }}@unless ($timer->isOn) <span class="small">switched off</span>@endunless</h2>
                    <p>{{ match (true) {
                        $timer->minutes === 0 => 'Every '.($timer->lines === 1 ? 'line' : $timer->lines.' lines').' by people',
                        default => 'Every '.($timer->minutes === 1 ? 'minute' : $timer->minutes.' minutes').match ($timer->lines) {
                            0 => ', whether or not anybody writes',
                            1 => ', after one line by people',
                            default => ", after {$timer->lines} lines by people",
                        },
                    } }}{{ $timer->within > 0 && $timer->lines > 0 ? " in the last {$timer->within} minutes" : '' }}{{ $timer->whileLive ? ', while the stream is live' : ', live or offline' }}:
                        @if ($form->run !== '') runs {{ $triggers[$form->run] ?? $form->run }}.
                        @elseif (count($timer->responses) === 1) “{{ $timer->responses[0]->text() }}”
                        @else one of {{ count($timer->responses) }} messages, {{ __('orders.'.$timer->order->value) }}. @endif</p>
                    <p class="small">@if (! $timer->isOn) It doesn’t speak. @elseif ($stand->due === null) It waits for the {{ $timer->whileLive ? 'stream' : 'next edition' }}. @else Next due at {{ $now->setTimestamp(intdiv($stand->due->millis, 1000))->format('H:i') }}{{ $stand->missing === 0 ? '' : ($stand->missing === 1 ? ', if one more line comes' : ", if {$stand->missing} more lines come") }}. @endif{{ $stand->times === 0 ? '' : ($stand->times === 1 ? ' It spoke once so far.' : " It spoke {$stand->times} times so far.") }}</p>
                    @foreach ($findings[$place] ?? [] as $finding)<div class="finding is-warning"><p>{{ $finding->sentence() }}</p><p class="small">{{ $finding->mend() }}</p></div>@endforeach
                    @if ($mayWrite)
                        <form method="post" action="{{ route('write.timers.now', [$channel, $row]) }}" class="inline controls">@csrf<button class="plain" aria-label="say it now: {{ $timer->name }}">say it now</button></form>
                        <details class="small" @if (old('timer') === (string) $row->id) open @endif><summary>change</summary>@include('write.partials.timer', ['action' => route('write.timers.update', [$channel, $row]), 'method' => 'put', 'number' => (string) $row->id])
                            <form method="post" action="{{ route('write.timers.destroy', [$channel, $row]) }}">@csrf @method('delete')<button class="as-link">delete it</button></form></details>
                    @endif
                </article>
            @endforeach
            @if ($mayWrite)
                <h2 class="group" id="new">A new one</h2>
                <p class="small">Begin with @foreach (SilverParrot\Hearing\Timers\TimerSample::cases() as $one)<a href="{{ route('write.timers', ['channel' => $channel, 'sample' => $one->value]) }}#new">{{ $one->label() }}</a>{{ $loop->last ? '' : ', ' }}@endforeach, or with nothing. {{ $pace->halfHour === null ? '' : 'This chat writes about '.number_format($pace->halfHour).' lines in half an hour.' }}</p>
                @include('write.partials.timer', ['action' => route('write.timers.store', $channel), 'method' => 'post', 'number' => 'new', 'timer' => $new, 'form' => TimerForm::of($new)])
            @endif
            @include('partials.changes', ['kind' => 'timers'])
        </section>
        <section class="page facing" id="right-page" aria-label="Two hours">
            <div class="page-head"><h2>Two hours of a stream</h2></div>
            @include('write.partials.two-hours')
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Timers</a><a href="#right-page">Two hours</a></nav>
</x-book>
