@inject('sentences', App\Wording\Sentences::class)
{{-- What was heard so far: an answer exchanges this and the clock. The fields and buttons around it stay, with what is typed into them meanwhile. --}}
@php
    $state = $tried->state;
    $mayKeep = $canKeep && auth()->user()->can('write', $channel);
    $zone = new DateTimeZone($channel->zone);
@endphp
@if ($isAnswer)@include('rehearse.partials.whys', ['heard' => $tried->heard])
@include('rehearse.partials.clock')@endif
<div id="heard">
    <input type="hidden" name="chat" value="{{ $state->json() }}">
    @if ($state->from > 0)<p class="small">Begins with a line of the real chat, as it was heard then; what follows is yours, and changes nothing there.</p>@endif
    <ol class="lines" id="lines" tabindex="-1">
        @forelse ($tried->heard as $index => $one)
            <li class="line" id="line-{{ $index }}">
                <button type="button" class="said-by" data-why="{{ $index }}" aria-controls="why-{{ $index }}" aria-pressed="false">
                    <time>{{ $state->start->plusMillis($one->line->millis)->in($zone)->format('H:i:s') }}</time>
                    <b dir="auto">{{ $one->by?->name }}</b>
                    @if ($one->by !== null && $one->by->levels->highest() !== SilverParrot\Chat\Level::Everyone)<span class="badge-word">{{ $one->by->levels->highest()->label() }}</span>@endif
                    <span class="text" dir="auto">{{ $one->number === null ? '…' : $one->line->text }}</span>
                </button>
                @foreach ($one->outcome->texts() as $text)
                    <div class="saying-line"><x-saying :$text :$channel/>
                        @if ($mayKeep && $one->number !== null)
                            <button type="button" class="as-link keep" hx-post="{{ route('rehearse.expect', $channel) }}" hx-vals='{"index": {{ $one->number }}}' hx-target="#expectations" hx-swap="outerHTML" hx-sync="this" aria-label="this is right: “{{ $text }}”">this is right</button>
                        @endif
                    </div>
                @endforeach
                @if ($one->outcome->sayings === [])
                    <div class="silence">@if ($one->outcome->closed)closed: @told($one->outcome->closed->reason)@elseif ($one->outcome->failed)failed: @told($one->outcome->failed->message())@elseif ($silent = $one->outcome->trace?->silence()){{ Str::after($sentences->of($silent->message()), 'silent: ') }}@else says nothing @endif</div>
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
    @if ($state->isFull())<p class="problem" role="status">The chat is full: start over to say more.</p>@endif
</div>
