{{-- How much of the whole pack scripts come to, and what they do not. --}}
@if ($coverage->parts > 0)
    <h2 class="group">What scripts reach</h2>
    <p>{{ $coverage->percent() }} % of this pack: {{ number_format($coverage->reached) }} of {{ number_format($coverage->parts) }} replies, branches, fallbacks, items, closed gates and failing look-ups.</p>
    @if ($coverage->incomplete() !== [])
        <details class="more"><summary>What they do not reach</summary>
            <ul class="entries">
                @foreach ($coverage->incomplete() as $trigger => $one)
                    <li class="entry"><b>{{ $trigger }}</b> <span class="small">{{ $one->reached }} of {{ $one->parts }}</span>
                        @if (isset($numbers[$trigger]))<a class="small" href="{{ route('write.command', [$channel, $numbers[$trigger]]) }}">Write</a> @if ($mayWrite)<a class="small" href="{{ route('rehearse.scripts', ['channel' => $channel, 'for' => $numbers[$trigger]]) }}#right-page">Suggest</a>@endif @endif
                        @if ($one->isBegun())<p class="small">@foreach ($one->missing() as $missing)@told($missing->message($one->keys)){{ $loop->last ? '' : '; ' }}@endforeach</p>@endif
                    </li>
                @endforeach
            </ul>
        </details>
    @endif
@endif
