@php
    use App\Rehearse\Scripts\ScriptPicture;
    use SilverParrot\Rehearsal\TimedLine;
    use SilverParrot\Rehearsal\Scripts\Expecting\Says;
@endphp
{{-- What one script came to: each of its lines, what was said, and what does not hold, the first thing first. --}}
<section id="script-result" aria-label="What it came to">
    @foreach ($findings ?? [] as $finding)<p class="problem">{{ App\Rehearse\Scripts\ScriptRequest::sentence($finding) }}</p>@endforeach
    @if ($result !== null)
        @php $first = $result->firstUnmet(); @endphp
        <p role="status"><b>{{ $first === null ? ($result->checked === [] ? 'It runs, and expects nothing.' : 'It holds.') : 'It does not hold.' }}</b> @if ($first?->part !== null)<a href="#part-{{ $first->part }}">The first difference</a>@endif</p>
        @foreach ($result->checked as $one)@if ($one->part === null)<p class="small"><span aria-hidden="true">{{ $one->holds() ? '✓' : '✗' }}</span> all of it: {{ $one->expected::key() }}@if ($one->unmet !== null): <span class="problem-text">@told($one->unmet)</span>@endif</p>@endif @endforeach
        @php $marks = ScriptPicture::of($result); @endphp
        @if ($marks !== [])
            <svg class="script-picture" viewBox="0 0 {{ ScriptPicture::WIDTH }} {{ ScriptPicture::HEIGHT }}" role="group" aria-label="The script, moment by moment">
                <line x1="0" x2="{{ ScriptPicture::WIDTH }}" y1="{{ ScriptPicture::HEIGHT / 2 }}" y2="{{ ScriptPicture::HEIGHT / 2 }}" class="ruling"></line>
                @foreach ($marks as $mark)<a href="#part-{{ $mark['part'] }}" aria-label="{{ $mark['label'] }}" @class(['mark', 'is-'.$mark['kind']->value, 'is-unmet' => ! $mark['holds']])><title>{{ $mark['label'] }}</title>@unless ($mark['holds'])<circle cx="{{ $mark['x'] }}" cy="{{ ScriptPicture::HEIGHT / 2 }}" r="11" class="ring"></circle>@endunless @include('rehearse.partials.mark-sign', ['kind' => $mark['kind'], 'x' => $mark['x'], 'y' => ScriptPicture::HEIGHT / 2])</a>@endforeach
            </svg>
        @endif
        <ol class="script-parts">
            @foreach ($result->script->parts as $place => $part)
                @php
                    $checked = array_values(array_filter($result->checked, fn ($one) => $one->part === $place));
                    $unmet = array_values(array_filter($checked, fn ($one) => ! $one->holds()));
                    $heard = $result->of($place);
                @endphp
                <li id="part-{{ $place }}" @class(['is-broken' => $unmet !== []])>
                    <span class="small">{{ SilverParrot\Rehearsal\ChatFile::time(intdiv($part->millis, 1000)) }}</span>
                    @if ($part->what instanceof TimedLine)<b dir="auto">{{ $part->what->by }}</b>@if ($part->what->isWhisper) <i>whispers</i>@endif <span dir="auto">{{ $part->what->text }}</span>@else<i>{{ $part->what->inWords() }}</i>@endif
                    @foreach ($result->said($place) as $text)<div class="saying-line"><x-saying :$text :$channel/></div>@endforeach
                    @foreach ($heard as $one)@if ($one->outcome->sayings === [] && $one->outcome->closed)<div class="silence">no reply: @told($one->outcome->closed->reason)</div>@elseif ($one->outcome->sayings === [] && $one->outcome->failed)<div class="silence">failed: @told($one->outcome->failed->message())</div>@endif @endforeach
                    @foreach ($unmet as $one)
                        <p class="problem"><span aria-hidden="true">✗</span> @told($one->unmet)</p>
                        @if ($one->expected instanceof Says)<div class="field-change"><span class="small">expected, and now</span> @include('publish.partials.changed-words', ['before' => implode(' / ', $one->expected->texts), 'after' => implode(' / ', $one->said)])</div>@endif
                    @endforeach
                    @if ($unmet !== [])
                        <details class="small"><summary>why</summary><ol class="why-list">@foreach ($heard as $one)@foreach ($one->outcome->trace?->entries() ?? [] as $entry)@if ($entry->kind->value !== 'heard')<li>@told($entry->message())</li>@endif @endforeach @endforeach</ol></details>
                        @if ($row !== null && auth()->user()->can('write', $channel))
                            <form method="post" action="{{ route('rehearse.scripts.accept', [$channel, $row]) }}" class="inline">@csrf<input type="hidden" name="part" value="{{ $place }}"><button class="plain small">Accept what it says now</button>@if (App\Rehearse\Scripts\AcceptedAnswer::losesComments($row->text)) <span class="small">Comments between the lines go with it; undo brings them back.</span>@endif</form>
                            @if ($part->what instanceof TimedLine)<form method="post" action="{{ route('rehearse.scripts.take', [$channel, $row]) }}" class="inline">@csrf<input type="hidden" name="part" value="{{ $place }}"><button class="plain small">Take it into Write</button></form>@endif
                        @endif
                    @endif
                </li>
            @endforeach
        </ol>
    @endif
</section>
