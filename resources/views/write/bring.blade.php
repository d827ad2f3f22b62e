@php
    $ready = array_filter($rows, fn ($row) => $row->problem === '');
    $mendable = array_filter($rows, fn ($row) => $row->canBeMended());
    $letters = fn (int $column) => 'column '.($column + 1);
@endphp
<x-book :title="'Bring what you have · '.$channel->name" :channel="$channel" room="write">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="What you have">
            <div class="page-head"><h1>Bring what you have</h1><a class="plain" href="{{ route('write', $channel) }}">Back to the commands</a></div>
            <form method="post" action="{{ route('write.bring', $channel) }}" id="bring" class="sentences">
                @csrf
                <p><label for="pasted">Paste lines like <code class="slot">!tide, High water at four.</code>, or a whole table with commas, semicolons or tabs between its columns. Nothing is kept until you say so.</label></p>
                <textarea id="pasted" name="pasted" rows="12" class="pasted" spellcheck="false">{{ $form->pasted }}</textarea>
                @if ($form->brought->rows !== [])
                    <p class="settings">Triggers stand in <select name="trigger_column" class="blank" aria-label="Column of the triggers">@for ($i = 0; $i < $form->brought->columns; $i++)<option value="{{ $i }}" @selected($i === $form->trigger)>{{ $letters($i) }}</option>@endfor</select>,
                        responses in <select name="text_column" class="blank" aria-label="Column of the responses">@for ($i = 0; $i < $form->brought->columns; $i++)<option value="{{ $i }}" @selected($i === $form->text)>{{ $letters($i) }}</option>@endfor</select>;
                        <label><input type="checkbox" name="skip_first" value="1" @checked($form->skipsFirst())> the first row is a heading</label>.</p>
                    <input type="hidden" name="columns" value="{{ $form->trigger }} {{ $form->text }}">
                @endif
                <p><button class="{{ $rows === [] ? 'strong' : 'plain' }}" name="look" value="1">Look at it</button></p>
            </form>
            @if ($form->brought->rows !== [])
                <h2>As it was read</h2>
                <div class="scrolled" tabindex="0" role="region" aria-label="As it was read"><table class="differences"><thead><tr>@for ($i = 0; $i < $form->brought->columns; $i++)
                    <th scope="col">{{ $letters($i) }}@if ($i === $form->trigger), triggers @elseif ($i === $form->text), responses @else
                        <button form="bring" class="as-link" name="trigger_column" value="{{ $i }}" aria-label="{{ $letters($i) }} holds the triggers">triggers</button> <button form="bring" class="as-link" name="text_column" value="{{ $i }}" aria-label="{{ $letters($i) }} holds the responses">responses</button>@endif</th>@endfor</tr></thead><tbody>
                    @foreach (array_slice($form->brought->rows, 0, 5) as $cells)<tr>@foreach ($cells as $cell)<td>{{ Illuminate\Support\Str::limit($cell, 60, '…') }}</td>@endforeach</tr>@endforeach
                </tbody></table></div>
                @if ($form->brought->isCut)<p class="problem">Only the first {{ SilverParrot\Pack\CommandImport::MOST_ROWS }} rows are taken; bring the rest afterwards.</p>@endif
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="What would be kept">
            @if ($rows === [])
                <div class="page-head"><h2>What would be kept</h2></div>
                <p class="small">Each command stands here first, with what is wrong with it and how to mend it.</p>
            @else
                <div class="page-head"><h2>{{ count($ready) === 1 ? 'One command' : count($ready).' commands' }} would be kept</h2>
                    @if ($mendable !== [])<button form="bring" class="plain" name="mend" value="all">Mend all that can be mended</button>@endif</div>
                @if ($problem !== '')<p class="problem">{{ $problem }}</p>@endif
                <ul class="ruled">
                    @foreach ($rows as $key => $row)
                        <li @class(['is-off' => $row->problem !== ''])>
                            <b class="trigger-word">{{ $row->command->trigger === '' ? '(no trigger)' : $row->command->trigger }}</b>
                            @if ($row->problem === '')<label class="small"><input type="checkbox" form="bring" name="leave[]" value="{{ $key }}"> leave out</label>@endif
                            <textarea form="bring" name="texts[{{ $key }}]" rows="2" class="brought-text" aria-label="Response of {{ $row->command->trigger }}" spellcheck="false">{{ $row->text() }}</textarea>
                            @if ($row->problem !== '')<p class="problem">{{ $row->problem }}</p>@endif
                            @foreach ($row->findings as $finding)<p class="small"><span @class(['problem-text' => $finding->isError()])>{{ $finding->sentence() }}</span> {{ $finding->mend() }}</p>@endforeach
                            @if ($row->canBeMended())<button form="bring" class="as-link" name="mend" value="{{ $key }}" aria-label="mend it: {{ $row->command->trigger }}">mend it</button>@endif
                        </li>
                    @endforeach
                </ul>
                <p><button form="bring" class="strong" name="bring" value="1" @disabled($ready === [])>Bring {{ count($ready) === 1 ? 'it' : 'them' }} along</button> <span class="small">into the draft; nothing on the air changes</span></p>
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">What you have</a><a href="#right-page">What would be kept</a></nav>
</x-book>
