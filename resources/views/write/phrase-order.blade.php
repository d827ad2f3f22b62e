{{-- All phrases that listen, in the order in which they win over each other. --}}
@php
    $mayWrite = auth()->user()->can('write', $channel);
    $words = null;
@endphp
<x-book :title="'Phrases · '.$channel->name" :channel="$channel" room="write" :address="route('write.phrase-order', $channel)">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Phrases">
            <div class="page-head"><h1>Phrases</h1> <a class="plain" href="{{ route('write', $channel) }}">Commands</a></div>
            <p>Where several phrases stand in one line, the one with the most words answers; among equals, the first in this order.</p>
            @if ($phrases === [])<p class="empty">No command listens for a phrase yet. Phrases are added beside a command’s trigger.</p>@endif
            @foreach ($phrases as $place => $one)
                @php([$command, $phrase] = [$one['command'], $one['phrase']])
                @if ($one['words'] !== $words)
                    @unless ($loop->first)</ol>@endunless
                    @php($words = $one['words'])
                    <h2 class="group">{{ $words === 1 ? 'One word' : "$words words" }}</h2>
                    <ol class="ruled phrase-order">
                @endif
                @php($isFirst = ($phrases[$place - 1]['words'] ?? null) !== $words)
                @php($isLast = ($phrases[$place + 1]['words'] ?? null) !== $words)
                <li><q dir="auto">{{ $phrase->text }}</q> <a href="{{ route('write.command', [$channel, $numbers[$command->id]]) }}" class="small">{{ $command->trigger }}</a>
                    @if ($phrase->isAlso)<span class="small">also answers beside others</span>@endif
                    @if ($mayWrite && ! ($isFirst && $isLast))
                        <form method="post" action="{{ route('write.phrase-order.move', $channel) }}" class="inline controls">@csrf
                            <input type="hidden" name="command" value="{{ $command->id }}"><input type="hidden" name="phrase" value="{{ $phrase->text }}">
                            @unless ($isFirst)<button class="plain small" name="to" value="up" aria-label="Move up: {{ $phrase->text }}">up</button> @unless (($phrases[$place - 2]['words'] ?? null) !== $words)<button class="plain small" name="to" value="first" aria-label="Move to the top: {{ $phrase->text }}">to the top</button> @endunless @endunless
                            @unless ($isLast)<button class="plain small" name="to" value="down" aria-label="Move down: {{ $phrase->text }}">down</button>@endunless
                        </form>
                    @endif
                </li>
                @if ($loop->last)</ol>@endif
            @endforeach
            @if ($silent > 0)<p class="small">{{ $silent === 1 ? 'One more phrase doesn’t' : "$silent more phrases don’t" }} listen: switched off, or of a command that is.</p>@endif
        </section>
    </main>
</x-book>
