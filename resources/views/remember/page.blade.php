@php
    use SilverParrot\Pack\CounterScope;
    $mayWrite = auth()->user()->can('write', $channel);
    $zone = new DateTimeZone($channel->zone);
@endphp
<x-book :title="'Remember · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Memory">
            <div class="page-head"><h1>Memory</h1> @include('remember.partials.pages')</div>
            <form method="get" action="{{ route('remember', $channel) }}" class="find" role="search"><input type="search" name="find" value="{{ $find }}" aria-label="Search everything by a word" placeholder="any word of a name, a text, an item or a command" maxlength="100" dir="auto"> <button class="plain">Search</button> @if ($find !== '')<a href="{{ route('remember', $channel) }}">Show all</a>@endif</form>
            <p class="small">What is remembered on the air, not in a rehearsal.</p>
            @php($kinds = App\Storage\Definitions\Named\NamedDefinition::all())
            @foreach (['Facts' => $kinds[0], 'Lists' => $kinds[1], 'Viewer fields' => $kinds[4]] + ($find === '' ? [] : ['Goods' => $kinds[5]]) as $heading => $kind)
                <h2>{{ $heading }}</h2>
                @include('remember.partials.named')
            @endforeach
            <h2>Counters</h2>
            @include('remember.partials.named', ['kind' => $kinds[2]])
            <h3>Their numbers now</h3>
            <ul class="ruled">
                @forelse ($counters as $one)
                    @php($counter = $one['counter'])
                    <li><b>counter.{{ $counter->name }}</b>
                        @forelse ($one['numbers'] as $number)
                            @include('remember.partials.count')
                        @empty
                            <div class="small">nothing counted yet</div>
                        @endforelse
                    </li>
                @empty
                    <li>No counters yet.</li>
                @endforelse
            </ul>
            <h2>Occasions</h2>
            @include('remember.partials.named', ['kind' => $kinds[3]])
            <h3>When they were</h3>
            <ul class="ruled">
                @forelse ($occasions as $name => $when)
                    <li><b>occasion.{{ $name }}</b> {{ $when === '' ? 'not set' : $when }}
                        @if ($mayWrite)<form method="post" action="{{ route('remember.occasion', $channel) }}" class="inline controls">@csrf<input type="hidden" name="occasion" value="{{ $name }}"><x-blank name="typed" :bag="'occasion '.$name" :label="'When '.$name.' is'" placeholder="10 days ago" size="12" maxlength="60" /> <button class="as-link" name="to" value="typed" aria-label="set {{ $name }}">set</button> <button class="as-link" name="to" value="now" aria-label="it is now: {{ $name }}">it is now</button> @if ($when !== '')<button class="as-link" name="to" value="nothing" aria-label="clear {{ $name }}">clear</button>@endif</form><x-problem name="typed" :bag="'occasion '.$name" />@endif</li>
                @empty
                    <li>No occasions yet.</li>
                @endforelse
            </ul>
            @if ($waiting !== [])
                <h2>Kept under a name</h2>
                <p class="small">From before the chat told people apart by more than their names. Several had these names since, so you say whose it is.</p>
                <ul class="ruled">
                    @foreach ($waiting as $one)
                        <li><b>{{ $one['login'] }}</b> <span class="small">{{ $one['lines'] === 1 ? 'one line' : $one['lines'].' lines' }}</span>
                            @if ($mayWrite)@foreach ($one['to'] as $person)<form method="post" action="{{ route('remember.hand', [$channel, $one['id']]) }}" class="inline controls">@csrf<input type="hidden" name="to" value="{{ $person['id'] }}"><button class="as-link" aria-label="{{ $one['login'] }} is {{ $person['name'] }}">it is {{ $person['name'] }}{{ $person['login'] === $one['login'] ? '' : ', '.$person['login'].' now' }}</button></form> @endforeach @endif</li>
                    @endforeach
                </ul>
            @endif
            <h2 id="emotes">Emotes</h2>
            <ul class="ruled">
                @forelse ($channel->emotesInShort as $emote)
                    <li>@if ($emote->has_picture === 1)<img class="emote" src="{{ route('remember.emotes.picture', [$channel, $emote]) }}" alt=""> @endif<b>{{ $emote->word }}</b> <span class="small">for {{ $emote->levels->inWords() }}{{ $emote->has_picture === 0 ? ', no picture' : '' }}</span>
                        @if ($mayWrite)<form method="post" action="{{ route('remember.emotes.drop', [$channel, $emote]) }}" class="inline controls">@csrf @method('delete')<button class="as-link" aria-label="delete {{ $emote->word }}">delete</button></form>@endif</li>
                @empty
                    <li>No emotes yet. A chat shows a picture for their words, and so does the parrot’s simulated chat.</li>
                @endforelse
            </ul>
            @if ($mayWrite)
                <form method="post" action="{{ route('remember.emotes', $channel) }}" enctype="multipart/form-data" class="new-emote">@csrf
                    <p>The word <x-blank name="word" label="The emote’s word" size="12" maxlength="40" autocomplete="off" autocapitalize="off" spellcheck="false" /> shows
                    <x-file-field name="picture" label="Its picture" accept="image/png,image/gif,image/webp" />, for <select name="level" class="blank" aria-label="Who may use it">@foreach (SilverParrot\Chat\Level::cases() as $level)<option value="{{ $level->word() }}" @selected(old('level') === $level->word())>{{ $level->plural() }}</option>@endforeach</select>.
                    <button class="plain">Add</button></p>
                    <x-problem name="word" /><x-problem name="level" />
                </form>
            @endif
            @include('partials.changes', ['kind' => 'emotes'])
            <p class="small"><a href="{{ route('remember.moving', $channel) }}">Moving house: take all that is remembered along</a></p>
        </section>
        <section class="page facing" id="right-page" aria-label="History">
            <div class="page-head"><h2>History</h2></div>
            @include('remember.partials.history')
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Memory</a><a href="#right-page">Changes</a></nav>
</x-book>
