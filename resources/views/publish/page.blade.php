@inject('sentences', App\Wording\Sentences::class)
@php
    $mayWrite = auth()->user()->can('write', $channel);
    $blocked = $between->blocked();
    $waiting = count($between->differences);
    // Of very many changes each cannot be a field: then all that can be are published.
    $mayChoose = $mayWrite && $waiting <= 1_000;
    $picked = old('chosen') === null ? null : (array) old('changes', []);
    $leftOut = count(array_filter($between->differences, fn ($one) => $blocked->by($one) !== []));
    $kinds = ['new' => 'new', 'changed' => 'changed', 'dropped' => 'deleted'];
    $count = fn (int $n, string $one, string $many) => $n === 1 ? "one $one" : "$n $many";
@endphp
<x-book :title="'Publish · '.$channel->name" :channel="$channel" room="publish">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="What publishing would change">
            <div class="page-head"><h1>{{ $waiting === 0 ? 'Nothing to publish' : 'What publishing would change' }}</h1></div>
            @if ($waiting === 0)<p class="small">{{ $onAir === null ? 'Nothing is on the air yet, and nothing is written.' : 'The draft is what is on the air. What you change in it stands here until it is published.' }}</p>@endif
            <form method="post" action="{{ route('publish.store', $channel) }}" class="publish-form">
                @csrf
                @if ($mayChoose)<input type="hidden" name="chosen" value="1">@endif
                @if (! in_array('', array_column($between->differences, 'trigger'), true))<input type="hidden" name="rest" value="1">@endif
                <ul class="ruled changes-list">
                    @foreach ($between->differences as $difference)
                        @php
                            $errors = $blocked->by($difference);
                            [$was, $is] = $between->sentences($difference, $sentences);
                            $name = $difference->trigger === '' ? 'Everything else' : $difference->trigger;
                            $new = $difference->kind === 'new' ? $between->draft->byId($difference->id) : null;
                        @endphp
                        <li>
                            @if ($mayChoose)<label><input type="checkbox" @if ($difference->trigger === '') name="rest" value="1" @else name="changes[]" value="{{ $difference->id }}" @endif @checked($errors === [] && ($picked === null || ($difference->trigger === '' ? old('rest') !== null : in_array($difference->id, $picked, true)))) @disabled($errors !== [])> <b>{{ $name }}</b></label>@else<b>{{ $name }}</b>@endif
                            <span class="small">{{ $kinds[$difference->kind] }}{{ $errors !== [] ? ', left out' : '' }}</span>
                            @foreach ($errors as $group)
                                @foreach ($group['findings'] as $finding)
                                    <p class="problem">@if ($group['command'])<a href="{{ route('write.command', [$channel, $group['number']]) }}" aria-label="Fix {{ $group['command']->trigger }}">Fix {{ $group['command']->trigger }}</a>: @endif {{ $finding->sentence() }} <span class="small">{{ $finding->mend() }}</span></p>
                                @endforeach
                            @endforeach
                            @foreach ($new?->responses ?? [] as $response)<p class="says">@include('write.partials.says', ['text' => $response->text()])</p>@endforeach
                            @if ($was !== $is)<div class="field-change sentence">@include('publish.partials.changed-words', ['before' => $was, 'after' => $is])</div>@endif
                            @foreach ($difference->fields as $field => [$before, $after])
                                <div class="field-change"><span class="small">{{ preg_replace('/^responses (\d+) text$/', 'response $1', $field) }}</span> @include('publish.partials.changed-words')</div>
                            @endforeach
                        </li>
                    @endforeach
                </ul>
                <x-problem name="changes" />
                @if ($mayWrite && ($waiting > 0 || $onAir === null))
                    <x-line-field name="note" label="Note for this edition (optional)" maxlength="500" />
                    <p class="save-bar"><button class="strong" @disabled($between->isLooking() || ($waiting > 0 && $leftOut === $waiting))>Publish</button> <span class="small">{{ match (true) { $waiting === 0 => '', $between->isLooking() => 'when everything has been checked', $leftOut === $waiting => 'Fix the '.($leftOut === 1 ? 'error' : 'errors').' first.', $leftOut > 0 => $count($leftOut, 'change', 'changes').' with errors left out; what is not ticked stays in the draft', ! $mayChoose => $count($waiting, 'change', 'changes'), default => 'what is not ticked stays in the draft' } }}</span></p>
                @endif
            </form>
            <div hx-get="{{ route('publish.scripts', $channel) }}" hx-trigger="load" hx-swap="outerHTML"></div>
            @inject('unready', App\Publish\UnreadyLookups::class)
            @php($waitingLookups = $unready->of($channel))
            @if ($waitingLookups !== [])
                <h2>Look-ups</h2>
                <ul class="ruled">@foreach ($waitingLookups as $one)<li><a href="{{ route('remember.lookups', [$channel, 'edit' => $one['id']]) }}">lookup.{{ $one['name'] }}</a> {{ $one['why'] }}.</li>@endforeach</ul>
            @endif
            @inject('hosts', App\Publish\HostsInUse::class)
            @php($asked = $hosts->of($channel))
            @if ($asked !== [])
                <h2>Who may be asked</h2>
                <ul class="ruled">@foreach ($asked as $host => $lookups)<li><b>{{ $host }}</b> <span class="small">{{ $lookups === [] ? 'used by no look-up' : 'for' }} @foreach ($lookups as $id => $name)<a href="{{ route('remember.lookups', [$channel, 'edit' => $id]) }}">lookup.{{ $name }}</a>{{ $loop->last ? '' : ', ' }}@endforeach</span></li>@endforeach</ul>
            @endif
            @include('write.partials.looking', ['found' => $between->findings, 'again' => route('publish', $channel)])
            @if ($between->findings->left === 0 && $between->left > 0)
                <p class="looking" role="status" hx-get="{{ route('publish', $channel) }}" hx-trigger="load delay:300ms" hx-select="#left-page" hx-target="#left-page" hx-swap="outerHTML"><progress max="{{ $between->expectations }}" value="{{ $between->expectations - $between->left }}"></progress>
                    {{ $between->expectations - $between->left }} of {{ $between->expectations }} expectations are looked at. <a class="plain" href="{{ route('publish', $channel) }}">Go on</a></p>
            @endif
            @if ($onAir !== null && $between->differences !== [])
                <div hx-get="{{ route('publish.differently', $channel) }}" hx-trigger="load" hx-swap="outerHTML"><p class="small" role="status">The last lines of the real chat are heard again …</p></div>
            @endif
            @if ($between->broken !== [])
                <h2>No longer as expected</h2>
                <ul class="ruled">
                    @foreach ($between->broken as $one)
                        <li class="holding is-broken"><b>{{ $one->by }}</b> {{ $one->expectation->line }}
                            <div class="two-texts"><div><span class="small">expected</span><div class="saying">{{ implode(' / ', $one->expectation->says) }}</div></div>
                                <div><span class="small">says now</span><div class="saying">{{ $one->saysNow === [] ? '–' : implode(' / ', $one->saysNow) }}</div></div></div></li>
                    @endforeach
                </ul>
            @endif
            @if ($between->findings->groups !== [])
                <h2><a href="{{ route('write.findings', $channel) }}">{{ ucfirst($count($between->findings->count(), 'finding', 'findings')) }}</a></h2>
                <ul class="ruled">
                    @foreach (array_slice($between->findings->groups, 0, 20) as $group)
                        @foreach ($group['findings'] as $finding)
                            <li>@if ($group['command'])<a class="trigger-word" href="{{ route('write.command', [$channel, $group['number']]) }}">{{ $group['command']->trigger }}</a>@endif <span @class(['problem-text' => $finding->isError()])>{{ $finding->sentence() }}</span> <span class="small">{{ $finding->mend() }}</span> @if ($group['command'] === null && ($of = App\Remember\DefinitionAt::of($between->findings->names, $finding->at)) !== null)<a class="plain" href="{{ App\Remember\UsesOfNames::place($channel, $of) }}">Open {{ $of }}</a>@endif</li>
                        @endforeach
                    @endforeach
                    @if (count($between->findings->groups) > 20)<li class="small"><a class="plain" href="{{ route('write.findings', $channel) }}">All of them</a></li>@endif
                </ul>
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="On the air">
            <div class="page-head"><h2>On the air</h2></div>
            <x-health :$channel/>
            <p><a class="plain" href="{{ route('publish.chat', $channel) }}">Watch the real chat</a>
                @can('manage', $channel)<a class="as-link" href="{{ route('publish.connection', $channel) }}">{{ $channel->chat_server === null ? 'Connected to the harbour (simulated chat)' : 'Connected to '.$channel->chat_server['host'] }}</a>@endcan</p>
            <p>@if ($channel->paused)<strong>Replies are stopped</strong>: the parrot answers nothing.@elseif ($onAir !== null)Edition {{ $channel->edition_on_air }} is on the air.@endif
                @if ($mayWrite && $onAir !== null)
                    <form method="post" action="{{ route('publish.pause', $channel) }}" class="inline">@csrf<input type="hidden" name="paused" value="{{ $channel->paused ? 0 : 1 }}"><button class="plain">{{ $channel->paused ? 'Resume replies' : 'Stop replies' }}</button></form>
                @endif</p>
            @if ($onAir !== null)
                <h3>Commands on the air</h3>
                <ul class="ruled">
                    @foreach ($onAir->commands as $command)
                        @php($isSilent = in_array(SilverParrot\Source\Fold::caseless($command->id), $channel->silenced, true))
                        @php($week = $said[$command->id] ?? null)
                        <li><span @class(['trigger-word', 'is-off' => ! $command->isOn()])>{{ $command->trigger }}</span>
                            <span class="small">{{ match (true) { $isSilent => 'replies stopped', ! $command->isOn() => 'switched off', $week === null => 'not used this week', $week->times === 1 => 'once this week', default => number_format($week->times).' times this week' } }}</span>
                            @if ($mayWrite && ($command->isOn() || $isSilent))
                                <form method="post" action="{{ route('publish.silence', $channel) }}" class="inline controls">@csrf<input type="hidden" name="trigger" value="{{ $command->trigger }}"><input type="hidden" name="silent" value="{{ $isSilent ? 0 : 1 }}"><button class="as-link" aria-label="{{ $isSilent ? 'resume' : 'stop' }} {{ $command->trigger }}">{{ $isSilent ? 'resume' : 'stop' }}</button></form>
                            @endif
                            @if ($week !== null)<p class="last-said"><x-saying :text="$week->last" :$channel/></p>@endif</li>
                    @endforeach
                </ul>
            @endif
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
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Draft</a><a href="#right-page">On the air</a></nav>
</x-book>
