@php
    $state = $tried->state;
    $mayKeep = $canKeep && auth()->user()->can('write', $channel);
    $zone = new DateTimeZone($channel->zone);
@endphp
@if ($isAnswer)@include('rehearse.partials.whys', ['heard' => $tried->heard])@endif
<form id="chat" class="chat" hx-post="{{ route('rehearse.try', $channel) }}" hx-target="this" hx-swap="outerHTML" hx-sync="this:queue all" @if ($withDraft) hx-include="#command [name]:not([name=_method]):not([name=_token])" @endif autocomplete="off">
    @csrf
    <input type="hidden" name="chat" value="{{ $state->json() }}">
    <div class="page-head">
        <h2>Try it</h2>
        <span class="clock">It is <time>{{ $state->now()->in($zone)->format('H:i:s') }}</time></span>
        <span class="buttons">
            @foreach ([10 => '+10 s', 60 => '+1 min', 600 => '+10 min'] as $seconds => $label)
                <button type="button" class="plain" hx-post="{{ route('rehearse.try', $channel) }}" hx-vals='{"do": "turn", "seconds": {{ $seconds }}}' aria-label="{{ $label }}: turn the clock on">{{ $label }}</button>
            @endforeach
            <button type="button" class="plain" hx-post="{{ route('rehearse.try', $channel) }}" hx-vals='{"do": "over"}'>Start over</button>
        </span>
    </div>
    @if ($state->from > 0)<p class="small">Begins with a line of the real chat, as it was heard then; what follows is yours, and changes nothing there.</p>@endif
    <ol class="lines" id="lines" tabindex="-1">
        @forelse ($tried->heard as $index => $one)
            <li class="line" id="line-{{ $index }}">
                <button type="button" class="said-by" data-why="{{ $index }}" aria-controls="why-{{ $index }}" aria-pressed="false">
                    <time>{{ $state->start->plusMillis($one->line->millis)->in($zone)->format('H:i:s') }}</time>
                    <b>{{ $one->by->name }}</b>
                    @if ($one->by->levels->highest() !== SilverParrot\Chat\Level::Everyone)<span class="badge-word">{{ $one->by->levels->highest()->label() }}</span>@endif
                    <span class="text">{{ $one->line->text }}</span>
                </button>
                @foreach ($one->outcome->texts() as $text)
                    <div class="saying-line"><x-saying :$text :$channel/>
                        @if ($mayKeep)
                            <button type="button" class="as-link keep" hx-post="{{ route('rehearse.expect', $channel) }}" hx-vals='{"index": {{ $index }}}' hx-target="#expectations" hx-swap="outerHTML" aria-label="this is right: “{{ $text }}”">this is right</button>
                        @endif
                    </div>
                @endforeach
                @if ($one->outcome->sayings === [])
                    <div class="silence">{{ $one->outcome->closed ? 'closed: '.$one->outcome->closed->sentence : ($one->outcome->failed ? 'failed: '.$one->outcome->failed->getMessage() : Illuminate\Support\Str::after(collect($one->outcome->trace?->entries() ?? [])->first(fn ($entry) => in_array($entry->kind->value, ['mistyped', 'no-trigger', 'talker'], true))?->sentence() ?? 'says nothing', 'silent: ')) }}</div>
                @endif
                @foreach ($one->outcome->authoredChanges() as $change)
                    @php($told = SilverParrot\Hearing\Trace\Told::change($change))
                    <div class="change small">{{ $told['what'] }} <span>({{ $told['scope'] }})</span> {{ $told['from'] === '' ? 'nothing' : $told['from'] }} → {{ $told['to'] === '' ? 'nothing' : $told['to'] }}</div>
                @endforeach
            </li>
        @empty
            <li class="empty">Say something as anybody in the cast: a trigger, or any line. It is heard by what stands on the page, saved or not, on a copy of memory: real counters stay as they are.</li>
        @endforelse
    </ol>
    @if ($state->isFull())<p class="problem" role="status">The chat is full: start over to say more.</p>@endif
    <div class="composer">
        <p class="as"><label for="speaker">As</label> <select id="speaker" name="speaker" class="blank">
            @foreach ($tried->cast as $member)
                <option value="{{ $member->login }}" title="{{ $member->habits }}" @selected($member->login === $tried->speaker())>{{ $member->name }}{{ $member->levels === [] ? '' : ', '.$member->person()->levels->highest()->label() }}</option>
            @endforeach
        </select></p>
        <label class="visually-hidden" for="say-line">A chat line</label>
        <input id="say-line" name="line" class="blank wide" placeholder="{{ $row ? $row->trigger : 'a chat line' }}" maxlength="500">
        <button type="submit" class="strong" name="do" value="say">Say</button>
    </div>
    <p class="small seed"><label>Luck from the seed <input name="seed" value="{{ $state->seed }}" class="blank" size="14" maxlength="100"></label></p>
</form>
