@inject('sentences', App\Wording\Sentences::class)
@php
    $mayWrite = auth()->user()->can('write', $channel);
    $count = fn (int $n, string $one, string $many) => $n === 1 ? "one $one" : "$n $many";
@endphp
<x-book :title="'Publish · '.$channel->name" :channel="$channel" room="publish">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Draft">
            <div class="page-head"><h1>Between the draft and the air</h1></div>
            @include('write.partials.looking', ['found' => $between->findings, 'again' => route('publish', $channel)])
            @if ($between->findings->left === 0 && $between->left > 0)
                <p class="looking" role="status" hx-get="{{ route('publish', $channel) }}" hx-trigger="load delay:300ms" hx-select="#left-page" hx-target="#left-page" hx-swap="outerHTML"><progress max="{{ $between->expectations }}" value="{{ $between->expectations - $between->left }}"></progress>
                    {{ $between->expectations - $between->left }} of {{ $between->expectations }} expectations are looked at. <a class="plain" href="{{ route('publish', $channel) }}">Go on</a></p>
            @endif
            @if ($between->findings->groups !== [])
                <h2><a href="{{ route('write.findings', $channel) }}">{{ ucfirst($count($between->findings->count(), 'finding', 'findings')) }}</a></h2>
                <ul class="ruled">
                    @foreach (array_slice($between->findings->groups, 0, 20) as $group)
                        @foreach ($group['findings'] as $finding)
                            <li><b>{{ $group['command']?->trigger }}</b> <span @class(['problem-text' => $finding->isError()])>{{ $finding->sentence() }}</span> <span class="small">{{ $finding->mend() }}</span></li>
                        @endforeach
                    @endforeach
                    @if (count($between->findings->groups) > 20)<li class="small"><a class="plain" href="{{ route('write.findings', $channel) }}">All of them</a></li>@endif
                </ul>
            @endif
            @if ($between->broken !== [])
                <h2>No longer right</h2>
                <ul class="ruled">
                    @foreach ($between->broken as $one)
                        <li class="holding is-broken"><b>{{ $one->by }}</b> {{ $one->expectation->line }}
                            <div class="two-texts"><div><span class="small">was right</span><div class="saying">{{ implode(' / ', $one->expectation->says) }}</div></div>
                                <div><span class="small">is said now</span><div class="saying">{{ $one->saysNow === [] ? '–' : implode(' / ', $one->saysNow) }}</div></div></div></li>
                    @endforeach
                </ul>
            @endif
            <h2>{{ $between->differences === [] ? 'The draft and the air are the same' : ($onAir === null ? 'Nothing is on the air yet' : 'What would change') }}</h2>
            <ul class="ruled">
                @foreach ($between->differences as $difference)
                    <li><b>{{ $difference->trigger === '' ? 'Everything else' : $difference->trigger }}</b> <span class="small">{{ $difference->kind }}</span>
                        @php([$was, $is] = $between->sentences($difference, $sentences))
                        @if ($was !== $is)<div class="field-change sentence">@include('publish.partials.changed-words', ['before' => $was, 'after' => $is])</div>@endif
                        @foreach ($difference->fields as $field => [$before, $after])
                            <div class="field-change"><span class="small">{{ preg_replace('/^responses (\d+) text$/', 'response $1', $field) }}</span> @include('publish.partials.changed-words')</div>
                        @endforeach
                    </li>
                @endforeach
            </ul>
            @if ($onAir !== null && $between->differences !== [])
                <div hx-get="{{ route('publish.differently', $channel) }}" hx-trigger="load" hx-swap="outerHTML"><p class="small" role="status">The last lines of the real chat are heard again …</p></div>
            @endif
            @if ($mayWrite && ($between->differences !== [] || $onAir === null))
                <form method="post" action="{{ route('publish.store', $channel) }}" class="publish-form">
                    @csrf
                    <x-line-field name="note" label="A note for this edition" maxlength="500" />
                    <p><button class="strong" @disabled($between->hasErrors() || $between->isLooking())>Publish</button>
                        @if ($between->hasErrors())<span class="small">Mend the findings first.</span>@endif</p>
                </form>
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="On the air">
            <div class="page-head"><h2>On the air</h2></div>
            <x-health :$channel/>
            <p><a class="plain" href="{{ route('publish.chat', $channel) }}">Watch the real chat</a>
                @can('manage', $channel)<a class="as-link" href="{{ route('publish.connection', $channel) }}">{{ $channel->chat_server === null ? 'It speaks in the harbour' : 'It speaks at '.$channel->chat_server['host'] }}</a>@endcan</p>
            <p>@if ($channel->paused)The parrot is <strong>silent</strong>: it hears and answers nothing.@elseif ($onAir !== null)Edition {{ $channel->edition_on_air }} is on the air.@endif
                @if ($mayWrite && $onAir !== null)
                    <form method="post" action="{{ route('publish.pause', $channel) }}" class="inline">@csrf<input type="hidden" name="paused" value="{{ $channel->paused ? 0 : 1 }}"><button class="plain">{{ $channel->paused ? 'Resume replies' : 'Stop replies' }}</button></form>
                @endif</p>
            <h3>Editions</h3>
            <ul class="ruled">
                @forelse ($editions as $edition)
                    <li><b>Edition {{ $edition->number }}</b> <span class="small">{{ $edition->created_at->setTimezone($channel->zone)->format('j M Y, H:i') }}, {{ $edition->user?->name ?? 'somebody' }}</span>
                        @if ($edition->note !== '') {{ $edition->note }}@endif
                        @if ($edition->number === $channel->edition_on_air)<span class="small">on the air</span>
                        @elseif ($mayWrite)<form method="post" action="{{ route('publish.put', [$channel, $edition]) }}" class="inline controls">@csrf<button class="as-link" aria-label="put on the air: edition {{ $edition->number }}">put on the air</button></form>@endif
                    </li>
                @empty
                    <li>None yet.</li>
                @endforelse
            </ul>
            @if ($onAir !== null)
                <h3>Commands on the air</h3>
                <ul class="ruled">
                    @foreach ($onAir->commands as $command)
                        @php($isSilent = in_array(SilverParrot\Source\Fold::caseless($command->id), $channel->silenced, true))
                        <li><span @class(['trigger-word', 'is-off' => ! $command->isOn()])>{{ $command->trigger }}</span>
                            @if ($isSilent)<span class="small">silenced</span>@endif
                            @if ($mayWrite && ($command->isOn() || $isSilent))
                                <form method="post" action="{{ route('publish.silence', $channel) }}" class="inline controls">@csrf<input type="hidden" name="trigger" value="{{ $command->trigger }}"><input type="hidden" name="silent" value="{{ $isSilent ? 0 : 1 }}"><button class="as-link" aria-label="{{ $isSilent ? 'let speak' : 'silence' }} {{ $command->trigger }}">{{ $isSilent ? 'let speak' : 'silence' }}</button></form>
                            @endif</li>
                    @endforeach
                </ul>
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Draft</a><a href="#right-page">On the air</a></nav>
</x-book>
