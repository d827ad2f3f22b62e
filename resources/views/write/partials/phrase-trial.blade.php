{{-- What each phrase would do in the chats that it is tried in, in the order of the phrases. --}}
@php($rate = fn (float $evening) => $evening < 1.5 ? ($evening < 0.75 ? 'less than one' : 'about one') : 'about '.number_format($evening))
@foreach ($phrases as $place => $phrase)
    <div data-of-phrase>
        @foreach ($told[$place] ?? [] as $name => $one)
            @php($chat = $name === 'heard' ? 'the real chat of the last '.App\Write\PhraseSamples::WEEKS.' weeks' : 'the sample chat')
            @if ($one['heard'] === 0)
                <p>In {{ $chat }}, none of {{ number_format($one['of']) }} lines.</p>
            @else
                <details class="hits"><summary>In {{ $chat }}, {{ $one['heard'] === 1 ? 'one' : number_format($one['heard']) }} of {{ number_format($one['of']) }} lines: {{ $rate($one['evening']) }} {{ $one['evening'] < 1.5 ? 'reply' : 'replies' }} an evening.</summary>
                    <ul>
                        @foreach ($one['lines'] as [$who, $line])
                            <li><q dir="auto">{{ $line }}</q>@if ($who !== '') <span>{{ $who }}</span>@endif
                                <span class="presses" data-line="{{ $line }}"><button type="button" class="as-link" data-keep-line="must">must set it off</button> <button type="button" class="as-link" data-keep-line="must_not">must not</button></span></li>
                        @endforeach
                    </ul></details>
                @if ($one['rarer'] !== null)
                    <div class="finding is-warning"><p>“{{ $phrase->text }}” is common: more than one line in {{ SilverParrot\Rehearsal\PhraseTrial::COMMON }}.</p>
                        <p>
                            @foreach ($one['rarer']['texts'] as [$text, $evening])<button type="button" class="as-link" data-put-phrase="{{ $text }}">Take “{{ $text }}”</button> ({{ $rate($evening) }} an evening){{ $loop->last && $one['rarer']['cooldown'] === null ? '.' : ', or ' }}@endforeach
                            @if ($one['rarer']['cooldown'] !== null)<button type="button" class="as-link" data-put-cooldown="{{ $one['rarer']['cooldown'][0] }}">answer at most once in {{ intdiv($one['rarer']['cooldown'][0], 60) }} minutes</button> ({{ $rate($one['rarer']['cooldown'][1]) }} an evening).@endif
                            @if ($one['rarer']['texts'] === [] && $one['rarer']['cooldown'] === null)Write a longer one.@endif
                        </p></div>
                @endif
            @endif
        @endforeach
    </div>
@endforeach
