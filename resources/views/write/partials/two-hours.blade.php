{{-- When timers would speak in two hours: all on one line, and one lane each; drawn anew while a number is typed. --}}
<div id="two-hours" aria-live="polite">
    @php
        $all = array_sum(array_map('count', $picture));
        // One alone is on one line as it is.
        $lanes = count($timers) > 1 ? ['all' => array_keys($timers)] : [];
        foreach ($timers as $place => $timer) {
            $lanes[$place] = [$place];
        }
        $bottom = 26 * max(1, count($lanes));
    @endphp
    <p>{{ match (true) {
        $all === 0 => 'None of them speaks in two hours.',
        $all === 1 => 'Where enough is written, they speak once in two hours.',
        default => "Where enough is written, they speak $all times in two hours: about every ".(int) round(SilverParrot\Hearing\Timers\TimerPicture::MINUTES / $all).' minutes.',
    } }}</p>
    <svg class="timeline" viewBox="0 0 600 {{ 40 + $bottom }}" role="img" aria-label="When each timer would speak in two hours">
        @for ($minute = 0; $minute <= SilverParrot\Hearing\Timers\TimerPicture::MINUTES; $minute += 30)
            <line x1="{{ 110 + $minute * 4 }}" x2="{{ 110 + $minute * 4 }}" y1="18" y2="{{ 22 + $bottom }}" class="grid"></line>
            <text x="{{ 110 + $minute * 4 }}" y="12" text-anchor="{{ $minute === SilverParrot\Hearing\Timers\TimerPicture::MINUTES ? 'end' : 'middle' }}">{{ $minute === 0 ? 'start' : $minute.' min' }}</text>
        @endfor
        @foreach ($lanes as $name => $places)
            @php($y = 37 + 26 * $loop->index)
            <text x="100" y="{{ $y + 5 }}" text-anchor="end">{{ $name === 'all' ? 'together' : Str::limit($timers[$name]->name, 14) }}</text>
            <line x1="110" x2="590" y1="{{ $y }}" y2="{{ $y }}" class="lane"></line>
            @foreach ($places as $place)@foreach ($picture[$place] as $at)<circle cx="{{ round(110 + $at * 4, 1) }}" cy="{{ $y }}" r="5"><title>{{ $timers[$place]->name }}, {{ round($at) }} minutes after the start</title></circle>@endforeach @endforeach
        @endforeach
    </svg>
</div>
