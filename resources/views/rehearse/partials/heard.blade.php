@inject('sentences', App\Wording\Sentences::class)
{{-- What was heard so far: an answer exchanges this and the clock. The fields and buttons around it stay, with what is typed into them meanwhile. --}}
@php
    $state = $tried->state;
    $mayKeep = $canKeep && auth()->user()->can('write', $channel);
    $zone = new DateTimeZone($channel->zone);
@endphp
@if ($isAnswer)@include('rehearse.partials.whys', ['heard' => $tried->heard])
@include('rehearse.partials.clock')
@include('rehearse.partials.circumstances')
@if (($holdings ?? null) !== null)@include('rehearse.partials.expectations')@endif
@endif
<div id="heard">
    <input type="hidden" name="chat" value="{{ $state->json() }}">
    @if ($state->from !== 0)<p class="small">Begins with a line of {{ $state->from < 0 ? 'a rehearsal' : 'the real chat' }}, as it was heard then; what follows is yours, and changes nothing there.</p>@endif
    <ol class="lines" id="lines" tabindex="0">
        @forelse ($tried->heard as $index => $one)
            <li class="line" id="line-{{ $index }}">
                <button type="button" class="said-by" data-why="{{ $index }}" aria-controls="why-{{ $index }}" aria-pressed="false">
                    <time>{{ $state->start->plusMillis($one->line->millis)->in($zone)->format('H:i:s') }}</time>
                    @php($isTimer = $one->by === null && $one->outcome->command !== null)<b dir="auto">{{ $one->by?->name }}</b>@if ($isTimer)<i>the timer {{ $one->outcome->command->trigger }}</i>@endif
                    @if ($one->by !== null && $one->by->levels->highest() !== SilverParrot\Chat\Level::Everyone)<span class="badge-word">{{ $one->by->levels->highest()->label() }}</span>@endif
                    @if ($one->line->isWhisper)<span class="kind small">whispers:</span>@endif
                    <span class="text" dir="auto">{{ $one->number !== null ? $one->line->text : ($isTimer ? '' : '…') }}</span>
                </button>
                @foreach ($one->outcome->texts() as $text)<div class="saying-line"><x-saying :$text :$channel/></div>@endforeach
                @if ($one->outcome->sayings === [])
                    <div class="silence">@if ($one->outcome->closed)no reply: @told($one->outcome->closed->reason)@elseif ($one->outcome->failed)failed: @told($one->outcome->failed->message())@elseif ($silent = $one->outcome->trace?->silence()){{ Str::after($sentences->of($silent->message()), 'silent: ') }}@else says nothing @endif</div>
                @endif
                @if ($one->number !== null)
                    @foreach (App\Rehearse\Advice::on($one, $tried->cast, app(App\Wording\Sentences::class)) as $press)
                        <button type="button" class="as-link small" hx-post="{{ route('rehearse.try', $channel) }}" hx-vals="{{ json_encode($press->values, JSON_UNESCAPED_UNICODE) }}">{{ $press->label }}</button>
                    @endforeach
                    @if ($mayKeep && $one->outcome->command !== null)
                        @if (in_array($one->number, $expected ?? [], true))<span class="small kept">✓ expected</span>@else<button type="button" class="as-link small keep" hx-post="{{ route('rehearse.expect', $channel) }}" hx-vals='{"index": {{ $one->number }}}' hx-target="this" hx-swap="outerHTML" hx-sync="this" aria-label="Keep as expected: {{ $one->line->text }}">Keep as expected</button>@endif
                    @endif
                @endif
                @foreach ($one->outcome->authoredChanges() as $change)
                    @php($told = SilverParrot\Hearing\Trace\ChangePresenter::change($change))
                    <div class="change small">{{ $told['what'] }} <span>({{ $told['scope'] }})</span> {{ $told['from'] === '' ? 'nothing' : $told['from'] }} → {{ $told['to'] === '' ? 'nothing' : $told['to'] }}</div>
                @endforeach
            </li>
        @empty
            <li class="empty">Say something as anybody in the cast: a trigger, or any line. It is heard by what stands on the page, saved or not, on a copy of memory: real counters stay as they are.</li>
        @endforelse
    </ol>
    @if (($isLarge ?? false) && $tried->timers !== [])
        <details class="small timers-now"><summary>Timers</summary>
            <ul>@foreach ($tried->timers as [$timer, $stand])<li><b dir="auto">{{ $timer->name }}</b> {{ match (true) {
                $stand->due === null => 'waits for the stream.',
                $stand->missing === 0 => 'is next due at '.$stand->due->in(new DateTimeZone($channel->zone))->format('H:i').'.',
                default => 'is next due at '.$stand->due->in(new DateTimeZone($channel->zone))->format('H:i').', if '.($stand->missing === 1 ? 'one more line comes.' : "{$stand->missing} more lines come."),
            } }}</li>@endforeach</ul></details>
    @endif
    @if ($isLarge ?? false)
        <div class="changed-so-far">
            <h3>What it would have changed</h3>
            @forelse ($tried->changes() as $told)<div class="change small">{{ $told['what'] }} <span>({{ $told['scope'] }})</span> {{ $told['from'] === '' ? 'nothing' : $told['from'] }} → {{ $told['to'] === '' ? 'nothing' : $told['to'] }}</div>@empty<p class="small">Nothing so far. Counters, fields and lists that lines change stand here, and stay as they are.</p>@endforelse
            @if ($tried->changes() !== [] && auth()->user()->can('write', $channel))<div id="keep-changes"><button type="button" class="plain small" hx-post="{{ route('rehearse.keep', $channel) }}" hx-target="#keep-changes" hx-swap="innerHTML">Keep these changes …</button></div>@endif
        </div>
    @endif
    @if (($isLarge ?? false) && $tried->heard !== [] && auth()->user()->can('write', $channel))<div id="save-script"><button type="button" class="plain small" hx-post="{{ route('rehearse.scripts.from-chat', $channel) }}" hx-target="#save-script" hx-swap="innerHTML">Save this chat as a script</button></div>@endif
    @if ($state->isFull())<p class="problem" role="status">The chat is full: start over to say more.</p>@endif
</div>
