@php
    $isNew = $row === null;
    $mayWrite = auth()->user()->can('write', $channel);
    $sum = array_sum(array_map(fn ($one) => $one->weight, $command->responses));
    $gates = SilverParrot\Hearing\Gates\GateSettings::all($command->gates);
    $given = [];
    foreach ($gates as $setting) {
        if ($setting::condition() !== null && ($setting->write() !== null || isset($problems['gates.'.$setting::key()]))) {
            $given[$setting::key()] = true;
        }
    }
    $responses = $command->responses === [] ? [SilverParrot\Hearing\Steps\Say::response('')] : $command->responses;
@endphp
<x-book :title="($isNew ? 'New command' : $command->trigger).' · '.$channel->name" :channel="$channel" room="write" :address="$isNew ? route('write.new', $channel) : route('write.command', [$channel, $row])">
    <main @class(['book', 'has-notes' => $marks !== []])>
        <section class="page" id="left-page" aria-label="Command">
            @if ($conflict)
                <div class="conflict" role="alert">
                    @if ($conflict['dropped'])
                        <p><strong>Somebody deleted this command while you wrote.</strong> Saving now makes it again, as it stands below.</p>
                    @else
                        <p><strong>Somebody saved this command while you wrote.</strong> Nothing was overwritten. Here is where the two differ; yours is in the fields below, and saving now keeps yours.</p>
                        <table class="differences"><thead><tr><th scope="col">what</th><th scope="col">theirs, saved</th><th scope="col">yours, not saved</th></tr></thead><tbody>
                            @foreach ($conflict['differences'] as $what => [$theirs, $mine])
                                <tr><th scope="row">{{ $what }}</th><td>{{ $theirs === '' ? '–' : $theirs }}</td><td>{{ $mine === '' ? '–' : $mine }}</td></tr>
                            @endforeach
                        </tbody></table>
                        <p><a href="{{ route('write.command', [$channel, $row]) }}" data-throw-away>Take theirs instead</a></p>
                    @endif
                </div>
            @endif
            <div class="offer" id="offer" hidden role="status">
                <p>You typed something here <span data-offer-when></span> that was never saved. <button type="button" class="as-link" data-take-up>Restore it</button> or <button type="button" class="as-link" data-throw-away>discard it</button>.</p>
            </div>
            @if ($isNew) @include('partials.first-steps') @endif
            @if ($isNew && $problems === [] && ! $conflict)
                <div class="samples">Begin with @foreach (SilverParrot\Hearing\Sample::FIRST as $sample)<a href="{{ route('write.new', ['channel' => $channel, 'sample' => $sample->value]) }}">{{ $sample->label() }}</a>{{ $loop->last ? '' : ', ' }}@endforeach, or with nothing.
                    <details class="small"><summary>More to begin with</summary>@foreach (array_filter(SilverParrot\Hearing\Sample::cases(), fn ($one) => ! in_array($one, SilverParrot\Hearing\Sample::FIRST, true)) as $sample)<a href="{{ route('write.new', ['channel' => $channel, 'sample' => $sample->value]) }}">{{ $sample->label() }}</a>{{ $loop->last ? '' : ', ' }}@endforeach</details></div>
            @endif
            @if ($inChat)
                <p class="notice">{{ ($inChat->viewer->name ?? '') ?: ($inChat->viewer->login ?? 'Somebody') }} changed it from chat, {{ $inChat->asked_at->setTimezone($channel->zone)->format('j M, H:i') }}. <a href="{{ route('write.from-chat', $channel) }}#effect-{{ $inChat->id }}">Look at it</a></p>
            @endif
            <form id="command" method="post" action="{{ $isNew ? route('write.store', $channel) : route('write.update', [$channel, $row]) }}" data-command="{{ $row?->id ?? 'new' }}" data-channel="{{ $channel->id }}" data-revision="{{ $revision }}"
                data-preview="{{ route('write.preview', $channel) }}" data-reference="{{ route('write.reference', $channel) }}" @if (session('saved')) data-saved @endif @if ($conflict || $problems !== []) data-unsaved @endif autocomplete="off" novalidate>
                @csrf
                @unless ($isNew) @method('put') @endunless
                <input type="hidden" name="revision" value="{{ $revision }}">
                <input type="hidden" name="command" value="{{ $row?->id ?? 0 }}">
                <input type="hidden" name="focus" value="0">
                <fieldset @disabled(! $mayWrite)>
                <h1 class="when">On <input name="trigger" value="{{ $command->trigger }}" class="blank trigger" size="{{ max(6, mb_strlen($command->trigger)) }}" maxlength="200" aria-label="Trigger" spellcheck="false" data-grow @if (isset($problems['trigger'])) aria-invalid="true" @endif><span class="or">or</span> <input name="aliases" value="{{ implode(', ', $command->triggers->aliases) }}" class="blank aliases" size="14" placeholder="other triggers" aria-label="Aliases, with commas between" spellcheck="false"></h1>
                @foreach (array_merge($problems['trigger'] ?? [], $problems['aliases'] ?? []) as $problem)<p class="problem">{{ $problem }}</p>@endforeach
                <p class="problem" data-taken hidden></p>
                <p @class(['small', 'alias-offers', 'has-room' => $row === null]) data-alias-offers hidden></p>
                <details class="small phrases" data-phrases data-trial-of="{{ route('write.phrases', $channel) }}" @if ($command->triggers->phrases !== [] || $command->triggers->isNameOnly || isset($problems['phrases'])) open @endif><summary>or when somebody says …</summary>
                    <div data-phrase-rows>
                        @foreach ($command->triggers->phrases ?: [new SilverParrot\Pack\Phrase('')] as $index => $phrase)
                            @include('write.partials.phrase')
                        @endforeach
                    </div>
                    <template data-phrase-template>@include('write.partials.phrase', ['index' => 99, 'phrase' => new SilverParrot\Pack\Phrase('')])</template>
                    @foreach ($problems['phrases'] ?? [] as $problem)<p class="problem">{{ $problem }}</p>@endforeach
                    <p class="small"><button type="button" class="as-link" data-add-phrase>Add a phrase</button> · <code>..</code> leaves out up to {{ SilverParrot\Hearing\Phrases\PhraseSyntax::GAP }} words, <code>(boat/ship)</code> is either.</p>
                    <p class="small"><label><input type="checkbox" name="name_only" value="1" @checked($command->triggers->isNameOnly)> It has no trigger: only phrases and other commands set it off, and what stands above is its name</label></p>
                </details>
                <div class="who">
                    @foreach ($gates as $setting)
                        @if ($setting::condition() === null) @include('write.gates.'.$setting::key(), ['setting' => $setting]) @endif
                    @endforeach
                    @include('write.partials.conditions')
                    The parrot says:</div>
                @foreach ($gates as $setting)
                    @if ($setting::condition() === null) @foreach ($problems['gates.'.$setting::key()] ?? [] as $problem)<p class="problem">{{ $problem }}</p>@endforeach @endif
                @endforeach
                <div data-responses @class(['is-several' => count($responses) > 1])>
                    @foreach ($responses as $index => $response)
                        @include('write.partials.response', ['several' => count($responses) > 1])
                    @endforeach
                </div>
                @foreach ($problems['responses'] ?? [] as $problem)<p class="problem">{{ $problem }}</p>@endforeach
                <template data-response-template>@include('write.partials.response', ['index' => 99, 'response' => SilverParrot\Hearing\Steps\Say::response(''), 'several' => true])</template>
                </fieldset>
                <p class="small">@if ($mayWrite)<button type="button" class="as-link" data-add-response>Add a random reply</button> · @endif<button type="button" class="as-link" data-open-reference aria-expanded="false" aria-controls="reference">What you can use here</button> · <a class="as-link" href="{{ route('write.help', $channel) }}" target="_blank">Ten examples</a> <label data-order @if (count($responses) < 2) hidden @endif>Drawn <select name="order" class="blank" aria-label="How the replies are drawn" @disabled(! $mayWrite)>@foreach (SilverParrot\Pack\DrawOrder::cases() as $order)<option value="{{ $order->value }}" @selected($command->order === $order)>{{ __('orders.'.$order->value) }}</option>@endforeach</select></label></p>
                <div class="preview-head small">
                    <label>Preview for <select name="person" class="blank" aria-label="Preview for whom">
                        <option value="">anyone allowed</option>
                        @foreach ($tried->cast as $member)<option value="{{ $member->login }}">{{ $member->name }}</option>@endforeach
                    </select></label>
                    <label>typing <input dir="auto" name="typed" class="blank" size="14" placeholder="nothing else" aria-label="What they typed after the trigger"></label>
                    <label><input type="checkbox" name="all" value="1"> every reply and branch</label>
                </div>
                <div id="preview" class="preview" aria-live="polite">@include('write.partials.preview')</div>
                <fieldset @disabled(! $mayWrite)>
                <div class="otherwise">
                    @foreach ($gates as $setting)
                        @continue($setting::refusal() === null)
                        @php($refusal = $setting::refusal())
                        <div data-reply-of="{{ $setting::key() }}" @if ($setting::condition() !== null && ! isset($given[$setting::key()]) && ($command->refusals[$refusal->key] ?? '') === '') hidden @endif>
                            @include('write.partials.reply', ['name' => "refusals[{$refusal->key}]", 'place' => "refusals/{$refusal->key}", 'when' => $refusal->when, 'text' => $command->refusals[$refusal->key] ?? '', 'key' => $refusal->key, 'ofChannel' => $channel->refusals[$refusal->key] ?? '', 'isSilent' => ($command->refusals[$refusal->key] ?? null) === ''])
                        </div>
                    @endforeach
                    @include('write.partials.reply', ['name' => 'if_it_fails', 'place' => 'if_it_fails', 'when' => 'If something fails', 'text' => $command->ifItFails])
                </div>
                <p class="settings">It is <label><input type="checkbox" name="listed" value="1" @checked($command->about->listed)> listed by [commands]</label>;
                    spoken by <select name="voice" class="blank" aria-label="Voice" data-shows><option value="parrot" @selected($command->delivery->voice->value === 'parrot')>the parrot</option><option value="streamer" @selected($command->delivery->voice->value === 'streamer')>the streamer’s account</option></select>
                    <select name="place" class="blank" aria-label="Place"><option value="chat" @selected($command->delivery->place->value === 'chat')>in the chat</option><option value="reply" @selected($command->delivery->place->value === 'reply')>as a reply</option><option value="whisper" @selected($command->delivery->place->value === 'whisper')>as a whisper</option></select>;
                    group <input dir="auto" name="group" value="{{ $command->about->group }}" class="blank" size="12" maxlength="60" placeholder="none" aria-label="Group">.
                    <span class="small" data-shown-for="streamer" @if ($command->delivery->voice->value !== 'streamer') hidden @endif>On the air the parrot says it itself: only its own account is signed in to the chat.</span></p>
                <p class="row-line"><label class="label" for="note">Private note</label> <input dir="auto" id="note" name="note" value="{{ $command->about->note }}" class="blank wide" maxlength="2000" placeholder="nothing"></p>
                </fieldset>
                <p class="sentence" id="sentence">{{ $sentence }}</p>
                @if ($mayWrite)
                    <p class="save-bar"><button class="strong">Save</button> <button class="plain" id="publish-this" form="publish-this-form" hidden>Publish this</button> <span class="small" id="save-state">{{ match (true) { $conflict !== null, $problems !== [] => 'Not saved.', $isNew => 'Not saved yet.', default => 'Saved.' } }}</span> <a class="to-findings" href="#findings" hidden></a></p>
                @endif
            </form>
            @if ($mayWrite)<form method="post" action="{{ route('publish.store', $channel) }}" id="publish-this-form">@csrf<input type="hidden" name="chosen" value="1"><input type="hidden" name="back" value="1"><input type="hidden" name="changes[]" value="{{ $row?->stable_id }}"></form>@endif
            @include('rehearse.partials.expectations')
            @unless ($isNew) @include('write.partials.coverage') @endunless
        </section>
        <aside class="margin" id="margin" aria-label="Findings and whys">
            <div id="findings" class="notes" data-notes="left">
                {{-- Without scripts the findings stand here as they were when the page was made. --}}
                <noscript>
                    @foreach ($preview->findings as $findings)
                        @foreach ($findings as $finding)
                            <div class="finding is-{{ $finding['severity'] }}"><p>{{ $finding['sentence'] }}</p><p class="small">{{ $finding['mend'] }}</p></div>
                        @endforeach
                    @endforeach
                </noscript>
            </div>
            <div id="unreached" class="notes" data-notes="left"></div>
            @include('rehearse.partials.whys', ['heard' => $tried->heard])
        </aside>
        <section class="page facing" id="right-page" aria-label="Reference and simulated chat">
            @if ($mayWrite)<section id="maker" class="reference maker" hidden tabindex="-1" aria-label="Make or change what the response names"></section>@endif
            <section id="reference" class="reference" hidden aria-label="Reference">
                <div class="page-head"><h2>What you can use in a slot</h2><input type="search" class="find" placeholder="find by any word" aria-label="Find in the reference"></div>
                <div data-reference-list class="reference-list" tabindex="0" role="region" aria-label="What you can use in a slot"></div>
            </section>
            @include('rehearse.partials.chat', ['canKeep' => ! $isNew, 'withDraft' => true, 'isAnswer' => false])</section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Text</a><a href="#right-page">Chat</a></nav>
</x-book>
