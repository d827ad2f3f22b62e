@php use SilverParrot\Rehearsal\TimedLine; @endphp
{{-- Scripts for one command: what each says now stands as expected, and is looked at before it is kept. --}}
@if ($list === [])
    <div class="empty"><p>Nobody types this one: timers or other commands set it off. Try it in the <a href="{{ route('rehearse', $channel) }}">chat</a>, and save that as a script.</p></div>
@else
    <form method="post" action="{{ route('rehearse.scripts.suggested', $channel) }}">@csrf
        <p>What it says now stands as what is expected: look whether that is right, and keep those that you want.</p>
        @error('chosen')<p class="problem">{{ $message }}</p>@enderror
        <ul class="entries suggested">
            @foreach ($list as $place => $one)
                <li class="entry">
                    <label><input type="checkbox" name="chosen[]" value="{{ $place }}" checked> <b dir="auto">{{ $one->title() }}</b></label>
                    <textarea name="texts[{{ $place }}]" hidden>{{ $one->text }}</textarea>
                    @if ($one->reaches !== [])<p class="small">Reaches {{ implode('; ', array_unique(array_map(fn ($reached) => __('coverage.for-'.$reached->kind->value, ['name' => $reached->name]), $one->reaches))) }}</p>@endif
                    <details @if ($loop->first) open @endif><summary class="small">{{ count($one->result->script->parts) === 1 ? 'One line' : count($one->result->script->parts).' lines' }}</summary>
                        <ol class="script-parts">
                            @foreach ($one->result->script->parts as $at => $part)
                                <li><span class="small">{{ SilverParrot\Rehearsal\ChatFile::time(intdiv($part->millis, 1000)) }}</span>
                                    @if ($part->what instanceof TimedLine)<b dir="auto">{{ $part->what->by }}</b>@if ($part->what->isWhisper) <i>whispers</i>@endif <span dir="auto">{{ $part->what->text }}</span>@else<i>{{ $part->what->inWords() }}</i>@endif
                                    @foreach ($one->result->said($at) as $text)<div class="saying-line"><x-saying :$text :$channel/></div>@endforeach
                                    @foreach ($one->result->of($at) as $heard)@if ($heard->outcome->sayings === [] && $heard->outcome->closed)<div class="silence">no reply: @told($heard->outcome->closed->reason)</div>@elseif ($heard->outcome->sayings === [] && $heard->outcome->failed)<div class="silence">failed: @told($heard->outcome->failed->message())</div>@endif @endforeach
                                </li>
                            @endforeach
                        </ol>
                        <details class="small"><summary>As a document</summary><pre dir="ltr">{{ $one->text }}</pre></details>
                    </details>
                </li>
            @endforeach
        </ul>
        @if ($missing !== [])<p class="small">Nothing was found for these: @foreach ($missing as $one){{ __('coverage.for-'.$one->kind->value, ['name' => $one->name]) }}{{ $loop->last ? '.' : ';' }} @endforeach Write such a script by hand, if it can be.</p>@endif
        @can('write', $channel)<p class="save-bar"><button class="strong">Keep the chosen ones</button></p>@endcan
    </form>
@endif
