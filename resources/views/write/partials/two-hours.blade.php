{{-- When timers would speak in two hours, one lane each; drawn anew while a number is typed. --}}
<div id="two-hours" aria-live="polite">
    @php($all = array_sum(array_map('count', $picture)))
    <p>{{ match (true) {
        $all === 0 => 'None of them speaks in two hours.',
        $all === 1 => 'Where enough is written, they speak once in two hours.',
        default => "Where enough is written, they speak $all times in two hours: about every ".(int) round(SilverParrot\Hearing\Timers\TimerPicture::MINUTES / $all).' minutes.',
    } }}</p>
    <svg class="timeline" viewBox="0 0 600 {{ 40 + 26 * max(1, count($timers)) }}" role="img" aria-label="When each timer would speak in two hours">
        @for ($minute = 0; $minute <= SilverParrot\Hearing\Timers\TimerPicture::MINUTES; $minute += 30)
            <line x1="{{ 110 + $minute * 4 }}" x2="{{ 110 + $minute * 4 }}" y1="18" y2="{{ 22 + 26 * max(1, count($timers)) }}" class="grid"></line>
            <text x="{{ 110 + $minute * 4 }}" y="12" text-anchor="{{ $minute === SilverParrot\Hearing\Timers\TimerPicture::MINUTES ? 'end' : 'middle' }}">{{ $minute === 0 ? 'start' : $minute.' min' }}</text>
        @endfor
        @foreach ($timers as $place => $timer)
            <text x="100" y="{{ 42 + 26 * $place }}" text-anchor="end">{{ Str::limit($timer->name, 14) }}</text>
            <line x1="110" x2="590" y1="{{ 37 + 26 * $place }}" y2="{{ 37 + 26 * $place }}" class="lane"></line>
            @foreach ($picture[$place] as $at)<circle cx="{{ round(110 + $at * 4, 1) }}" cy="{{ 37 + 26 * $place }}" r="5"><title>{{ $timer->name }}, {{ round($at) }} minutes after the start</title></circle>@endforeach
        @endforeach
    </svg>
</div>
