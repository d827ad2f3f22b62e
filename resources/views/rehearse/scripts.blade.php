@php($mayWrite = auth()->user()->can('write', $channel))
<x-book :title="'Scripts · '.$channel->name" :channel="$channel" room="rehearse">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Scripts">
            <div class="page-head"><h1>Scripts</h1> @if ($mayWrite)<a class="plain" href="{{ route('rehearse.scripts', ['channel' => $channel, 'new' => 1]) }}#right-page">New script</a>@endif @include('rehearse.partials.pages')</div>
            <p>What must stay true: lines by people at times, and what is expected of them. They run against the draft whenever it changes, and before it is published.</p>
            @include('rehearse.partials.scripts-stand', ['chosen' => $row?->id])
            @if ($mayWrite && $triggers !== [])<form method="get" action="{{ route('rehearse.scripts', $channel) }}#right-page" class="sentences"><h2 class="group">Suggest scripts</h2><p>for <select name="for" class="blank" aria-label="Command">@foreach ($triggers as $number => $trigger)<option value="{{ $number }}" @selected((int) request('for') === $number)>{{ $trigger }}</option>@endforeach</select> <button class="plain">Suggest</button></p><p class="small">Lines that reach each of its branches, closed gates and failing look-ups, found by trying.</p></form>@endif
            @include('rehearse.partials.coverage')
            @include('partials.changes', ['kind' => 'scripts'])
        </section>
        <section class="page facing" id="right-page" aria-label="One of them">
            @if ($for !== null)
                <div class="page-head"><h2>Scripts for {{ $for->trigger }}</h2></div>
                <div hx-get="{{ route('rehearse.scripts.suggest', [$channel, $for]) }}" hx-trigger="load" hx-swap="outerHTML"><p role="status">Trying lines …</p></div>
            @elseif ($row !== null || $isNew)
                <div class="page-head"><h2>{{ $row->title ?? 'A new script' }}</h2></div>
                <form method="post" action="{{ $row === null ? route('rehearse.scripts.store', $channel) : route('rehearse.scripts.update', [$channel, $row]) }}" id="script-form">@csrf @if ($row !== null)@method('put')<input type="hidden" name="seen" value="{{ $seen }}">@endif
                    <label class="visually-hidden" for="script-text">The script</label>
                    <textarea id="script-text" name="text" class="script-text" rows="18" spellcheck="false" dir="ltr" data-unsaved="script-{{ $row->id ?? 'new' }}" @error('text') aria-invalid="true" aria-describedby="script-problems" @enderror @readonly(! $mayWrite)>{{ $text }}</textarea>
                    @error('text')<ul class="problem" id="script-problems">@foreach ($errors->get('text') as $message)<li>{{ $message }}</li>@endforeach</ul>@enderror
                    @if ($mayWrite)<p><button class="strong">Save</button> <button type="button" class="plain" hx-post="{{ route('rehearse.scripts.run', $channel) }}" hx-include="#script-form" hx-params="not _method" hx-target="#script-result" hx-swap="outerHTML" hx-disabled-elt="this">Run</button></p>@endif
                </form>
                @if ($mayWrite && $row !== null)<form method="post" action="{{ route('rehearse.scripts.destroy', [$channel, $row]) }}" class="small">@csrf @method('delete')<button class="as-link">delete it</button></form>@endif
                @include('rehearse.partials.script-result')
                <details class="small more"><summary>What can stand in a script</summary>
                    <p>Lines are as in a chat file: <code>+12s tamsin: !tide porth</code>, <code>+1m5s odo(whispers): hello</code>. In place of a line something may happen: <code>at: +20s</code> and <code>happens: {category: Rigging}</code> (or <code>follow: odo</code>, <code>raid: 80</code>, <code>stream_ends: true</code>, <code>stream_begins: true</code>; where changes from chat wait for the streamer, <code>streamer_allows: true</code> or <code>streamer_refuses: true</code>).</p>
                    <p>Expected of a line: <code>says</code> (a text, or several), <code>contains</code>, <code>matches</code> with <code>[any]</code>, <code>[number]</code>, <code>[word]</code> for what may vary, <code>one_of</code>, <code>says_nothing: true</code> or <code>says_nothing: channel cooldown</code>, <code>within</code> seconds, <code>where: {place: whisper, voice: streamer}</code>, <code>memory: {counter.planks: 12}</code>, <code>changes: {counter.planks: 1}</code>, <code>asks: {lookup: tide, with: {port: "17"}}</code> (or <code>not: true</code>). Of all of it: <code>at_most: {sayings: 6, minutes: 10}</code>, <code>share: 20</code>.</p>
                    <p>The start may say <code>at</code>, <code>seed</code>, <code>cast</code>, <code>memory</code>, <code>channel</code> and <code>answers</code> of look-ups or troubles.</p></details>
            @else
                <div class="page-head"><h2>Script</h2></div>
                <p>Choose one to read and run it here, write a new one, or keep a <a href="{{ route('rehearse', $channel) }}">tried chat</a> as a script.</p>
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Scripts</a><a href="#right-page">One of them</a></nav>
</x-book>
