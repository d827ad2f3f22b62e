@php
    $mayWrite = auth()->user()->can('write', $channel);
    $troubles = ['drop' => 'drop all connections', 'delay' => 'deliver lines late', 'twice' => 'deliver each line twice', 'slow' => 'answer details slowly', 'refuse' => 'refuse whoever comes', 'deny' => 'not let the parrot change the stream'];
@endphp
<x-book :title="'Chat · '.$channel->name" :channel="$channel" room="publish">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="The real chat">
            <div class="page-head"><h1>The real chat</h1><span class="small" id="reading-along" role="status"></span><a class="plain" href="{{ route('publish', $channel) }}">Back to the draft</a></div>
            <x-health :$channel/>
            <form method="get" action="{{ route('publish.chat', $channel) }}" class="find-lines" role="search"><input type="search" name="find" value="{{ $find }}" class="find" placeholder="search by any word" aria-label="Search the real chat" maxlength="200">
                @if ($find !== '')<span class="small">{{ count($lines) === 1 ? 'one line' : count($lines).' lines' }} with “{{ $find }}”</span>@endif
                @if ($isUnanswered)<span class="small">What was meant for the parrot and got no answer</span>@else<a class="plain" href="{{ route('publish.chat', [$channel, 'unanswered' => 1]) }}">Unanswered only</a>@endif
                @unless ($isNow)<a class="plain" href="{{ route('publish.chat', $channel) }}">All of the chat, now</a>@endunless
                @include('partials.chat-display')</form>
            <ol class="lines is-tall" id="{{ $isNow ? 'air-lines' : 'found-lines' }}" tabindex="0" data-air-lines="{{ route('publish.lines', $channel) }}" @if ($isNow) data-air-stream="{{ route('publish.stream', $channel) }}" @endif data-air-emotes="{{ json_encode((object) array_column(array_filter(App\Storage\Assembler::emotes($channel), fn ($emote) => $emote->picture !== ''), 'picture', 'word')) }}" data-air-after="{{ $lines === [] ? 0 : end($lines)->number }}">
                @include('publish.partials.lines')
                <li class="empty" @if ($lines !== []) hidden @endif>{{ match (true) { $isNow => 'Nothing was heard yet. Lines stand here as they come, and are kept for '.($channel->keep_days === 1 ? 'a day' : "{$channel->keep_days} days").'.', $isUnanswered => 'Everything that was meant for the parrot was answered.', $find !== '' => 'No line that is still kept has these words.', default => 'There are no older lines.' } }}</li>
            </ol>
            @if ($isNow)<button type="button" class="strong newest" id="newest" hidden>Newest</button>@endif
            <template id="air-line">@include('publish.partials.line', ['told' => ['number' => 0, 'kind' => 'heard', 'time' => '', 'name' => '', 'level' => '', 'text' => '', 'outcome' => ''], 'isChosen' => false])</template>
            @if ($mayWrite && $harbour !== null && $isNow)
                <form method="post" action="{{ route('publish.say', $channel) }}" class="composer" id="air-say" autocomplete="off">
                    @csrf
                    <p class="as"><label for="air-as">As</label> <select id="air-as" name="as" class="blank">
                        @foreach ($harbour['people'] as $person)
                            <option value="{{ $person['login'] }}" @selected(old('as') === $person['login'])>{{ $person['name'] }}{{ $person['levels'] === [] ? '' : ', '.SilverParrot\Chat\Level::named(end($person['levels']))?->label() }}</option>
                        @endforeach
                    </select></p>
                    <label class="visually-hidden" for="air-text">A line for the real chat</label>
                    <input dir="auto" id="air-text" name="text" class="blank wide" placeholder="a line for the real chat" maxlength="500" value="{{ old('text') }}" aria-describedby="air-problem" @error('text') aria-invalid="true" @enderror>
                    <label class="small"><input type="checkbox" name="whisper" value="1" @checked(old('whisper'))> as a whisper</label>
                    <button class="strong">Say</button>
                </form>
                <p class="problem" id="air-problem" role="status">{{ $errors->first('text') ?: $errors->first('as') }}</p>
            @elseif ($channel->chat_server === null && $mayWrite)
                <p class="small">The harbour does not answer, so nobody can write in it now.</p>
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="Why">
            <div id="air-why" class="air-why" aria-live="polite">
                @if ($chosen !== null)
                    @include('publish.partials.why', ['line' => $chosen])
                @else
                    <div class="page-head"><h2>Why</h2></div>
                    <p class="small">Choose a line to see what triggered it, each gate, each slot’s value, and what it changed.</p>
                @endif
            </div>
            @if ($mayWrite && $harbour !== null)
                <div class="harbour">
                    <h2>The harbour</h2>
                    <p class="small">A simulated streaming service on this machine: its people write by themselves, and you may write as any of them. Here memory is the real one.</p>
                    <x-problem name="harbour" />
                    @if (auth()->user()->is_operator)
                    <form method="post" action="{{ route('publish.harbour', $channel) }}" class="settings">@csrf<input type="hidden" name="what" value="pace">
                        Its people write <x-blank name="pace" label="Lines a minute, from 0 to 3000" :value="(int) $harbour['pace']" class="short" inputmode="numeric" /> lines a minute. <button class="as-link">change the pace</button><x-problem name="pace" /></form>
                    @endif
                    <form method="post" action="{{ route('publish.harbour', $channel) }}" class="settings">@csrf<input type="hidden" name="what" value="stream">
                        The stream is <select name="live" class="blank" aria-label="Live or offline"><option value="1" @selected($harbour['live'])>live</option><option value="0" @selected(! $harbour['live'])>offline</option></select>,
                        busy with <select name="category" class="blank" aria-label="Category">@foreach ($harbour['categories'] as $category)<option @selected($category === $harbour['category'])>{{ $category }}</option>@endforeach</select>,
                        titled <x-blank name="title" label="Title" :value="$harbour['title']" size="24" maxlength="140" />. <button class="as-link">change the stream</button><x-problem name="category" /><x-problem name="title" /></form>
                    @if (auth()->user()->is_operator)
                    <form method="post" action="{{ route('publish.harbour', $channel) }}" class="settings">@csrf<input type="hidden" name="what" value="trouble">
                        For <x-blank name="seconds" label="Seconds, from 1 to 120" value="20" class="short" inputmode="numeric" />&nbsp;s it shall <select name="trouble" class="blank" aria-label="Trouble">@foreach ($troubles as $kind => $words)<option value="{{ $kind }}">{{ $words }}</option>@endforeach</select>. <button class="as-link">cause this trouble</button><x-problem name="seconds" /><x-problem name="trouble" />
                        @foreach ($harbour['troubles'] as $kind => $seconds)<span class="problem-text">For {{ $seconds }} s more: {{ $troubles[$kind] ?? $kind }}.</span> @endforeach</form>
                    @endif
                </div>
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Chat</a><a href="#right-page">Why</a></nav>
</x-book>
