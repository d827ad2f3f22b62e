<x-book :title="'Write · '.$channel->name" :channel="$channel" room="write">
    <main class="book">
        <section class="page" id="left-page" data-keeps-place aria-label="Commands">
            <div class="page-head">
                <h1>Commands</h1>
                <input type="search" class="find" name="find" value="{{ $find }}" placeholder="search by any word" aria-label="Find a command" data-find
                    hx-get="{{ route('write', $channel) }}" hx-trigger="input changed delay:120ms, search" hx-target="#entries" hx-swap="outerHTML" hx-include="[data-order-of-list]" hx-sync="this:replace" hx-push-url="true">
                @can('write', $channel)<a class="strong" href="{{ route('write.new', $channel) }}" data-new>New command</a> <a class="plain" href="{{ route('write.import', $channel) }}">Import</a>@endcan <a class="plain" href="{{ route('write.pack.export', $channel) }}" download>Export</a>
                <a class="plain" href="{{ route('write.timers', $channel) }}">Timers</a> <a class="plain" href="{{ route('write.phrase-order', $channel) }}">Phrases</a>
                <a class="plain" href="{{ route('write.from-chat', $channel) }}">Changes from chat @if ($fromChat > 0)<span class="count" aria-hidden="true">{{ $fromChat }}</span><span class="visually-hidden">{{ $fromChat === 1 ? 'one change to see' : "$fromChat changes to see" }}</span>@endif</a>
                <a class="plain" href="{{ route('write.findings', $channel) }}">Findings <span id="waiting-findings" class="count"></span></a>
            </div>
            @include('partials.first-steps')
            @include('write.partials.entries')
            <div hx-get="{{ route('write.mistyped', $channel) }}" hx-trigger="load" hx-swap="outerHTML"></div>
            <form method="post" action="{{ route('write.flood', $channel) }}" class="flood">
                @csrf @method('put') <x-seen :channel="$channel" kind="limits" />
                <h2 class="group">Over all commands</h2>
                @can('write', $channel)
                    <p>Within {{ SilverParrot\Pack\Flood::WINDOW_SECONDS }} s the parrot answers one person at most <x-blank name="person" label="Answers to one person; 0 for no limit" :value="$channel->flood_person" class="short" inputmode="numeric" maxlength="4" /> times, and everybody together <x-blank name="channel" label="Answers to everybody together; 0 for no limit" :value="$channel->flood_channel" class="short" inputmode="numeric" maxlength="4" /> times. <button class="as-link">Save</button></p>
                    <x-problem name="person" /><x-problem name="channel" />
                @else
                    <p>Within {{ SilverParrot\Pack\Flood::WINDOW_SECONDS }} s the parrot answers one person at most {{ $channel->flood_person }} times, and everybody together {{ $channel->flood_channel }} times.</p>
                @endcan
            </form>
            @include('partials.changes', ['kind' => 'limits'])
            @include('write.partials.refusals')
        </section>
        <aside class="margin" id="margin" aria-label="Why">@include('rehearse.partials.whys', ['heard' => $tried->heard])</aside>
        <section class="page facing" id="right-page" aria-label="Simulated chat">@include('rehearse.partials.chat', ['row' => null, 'canKeep' => true, 'withDraft' => false, 'isAnswer' => false])</section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Text</a><a href="#right-page">Chat</a></nav>
</x-book>
