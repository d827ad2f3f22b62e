@php
    $mayWrite = auth()->user()->can('write', $channel);
    $places = ['responses' => 'response', 'refusals' => 'refusal', 'if_it_fails' => 'if it fails', 'trigger' => 'trigger', 'aliases' => 'other trigger', 'cooldown' => 'how often'];
    $count = array_sum(array_map(fn (array $group) => count($group['findings']), $groups));
@endphp
<x-book :title="'Findings · '.$channel->name" :channel="$channel" room="write">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Findings">
            <div class="page-head"><h1>{{ $count === 0 ? 'No findings' : ($count === 1 ? 'One finding' : "$count findings") }}</h1> <a class="plain" href="{{ route('write', $channel) }}">Back to the commands</a></div>
            @include('write.partials.looking', ['found' => $found, 'again' => route('write.findings', $channel)])
            @if ($groups === [] && $found->left === 0)
                <p>Every response can be read, and the checks have nothing to say about any of them.</p>
            @endif
            @foreach ($groups as $group)
                <h2 @if ($group['row']) id="command-{{ $group['row']->id }}" @endif class="group">@if ($group['row'])<a class="trigger" href="{{ route('write.command', [$channel, $group['row']]) }}">{{ $group['command']->trigger }}</a>@else What belongs to no command @endif</h2>
                <ul class="ruled findings">
                    @foreach ($group['findings'] as $finding)
                        @php
                            $place = ltrim($finding->at, '/');
                            $text = $group['command']?->sources()[$place] ?? null;
                        @endphp
                        <li class="finding is-{{ $finding->kind->severity()->value }}">
                            <p><span @class(['problem-text' => $finding->isError()])>{{ $finding->sentence() }}</span>
                                @if ($group['command'] && (! str_starts_with($place, 'responses/') || count($group['command']->responses) > 1))<span class="small">{{ $places[explode('/', $place)[0]] ?? '' }}{{ preg_match('#^responses/(\d+)/#', $place, $at) ? ' '.($at[1] + 1) : '' }}</span>@endif</p>
                            @if ($text !== null && $finding->span !== null)
                                <p class="excerpt">{{ $finding->span->from > 40 ? '…' : '' }}{{ mb_substr($text, max(0, $finding->span->from - 40), min(40, $finding->span->from)) }}<mark>{{ mb_substr($text, $finding->span->from, $finding->span->to - $finding->span->from) }}</mark>{{ mb_substr($text, $finding->span->to, 40) }}{{ mb_strlen($text) > $finding->span->to + 40 ? '…' : '' }}</p>
                            @endif
                            @if ($finding->replacement !== null && $text !== null && $mayWrite)
                                <form method="post" action="{{ route('write.mend', [$channel, $group['row']]) }}" class="inline">@csrf<input type="hidden" name="at" value="{{ $finding->at }}"><input type="hidden" name="code" value="{{ $finding->kind->code() }}"><input type="hidden" name="from" value="{{ $finding->span->from }}"><input type="hidden" name="revision" value="{{ $group['row']->revision }}"><button class="as-link mend" aria-label="{{ $finding->mend() }} {{ $group['command']->trigger }}">{{ $finding->mend() }}</button></form>
                            @else
                                <p class="small">{{ $finding->mend() }} @if ($group['command'] === null && ($of = App\Remember\DefinitionAt::of($found->names, $finding->at)) !== null)<a class="plain" href="{{ App\Remember\UsesOfNames::place($channel, $of) }}">Open {{ $of }}</a>@endif</p>
                            @endif
                        </li>
                    @endforeach
                </ul>
            @endforeach
            @if ($more > 0)
                <p>{{ $more === 1 ? 'One more command has findings; it comes' : "$more more commands have findings; they come" }} up here as these are mended.</p>
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="Why it is said">
            <div class="page-head"><h2>Why it is said</h2></div>
            <ul class="ruled">
                @forelse (collect($groups)->flatMap(fn (array $group) => $group['findings'])->map(fn ($finding) => $finding->kind)->filter(fn ($kind) => $kind instanceof SilverParrot\Checks\AbstractCheck)->unique(fn ($kind) => $kind->code()) as $kind)
                    <li><b>{{ str_replace('-', ' ', $kind->code()) }}</b> {{ strtr($kind->reason(), ['{never}' => 'never']) }}</li>
                @empty
                    <li>Checks read the pack as it is written, without running it. What they find stands beside the text while you write, on the list of commands, here, and before you publish.</li>
                @endforelse
            </ul>
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Findings</a><a href="#right-page">Why</a></nav>
</x-book>
