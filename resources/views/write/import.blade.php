@php
    use SilverParrot\Pack\Import\ImportCell;
    use SilverParrot\Pack\Import\ImportColumn;
    use SilverParrot\Pack\Import\PastedTable;

    $ready = array_filter($rows, fn ($row) => $row->canBeKept());
    $mendable = array_filter($rows, fn ($row) => $row->canBeMended());
    $inOrder = array_filter($rows, fn ($row) => $row->isInOrder());
    $heading = $form->columns->hasHeading ? $form->table->rows[0] : [];
    $called = fn (int $column) => ($heading[$column] ?? '') === '' ? 'column '.($column + 1) : 'column '.($column + 1).' (“'.Illuminate\Support\Str::limit($heading[$column], 30, '…').'”)';
    $count = fn (int $n) => $n === 1 ? 'one command' : "$n commands";
    $asked = $form->columns->withoutUnit($form->table);
    $leftOver = $form->columns->leftOver($form->table);
    $shown = array_slice($form->table->rows, $form->columns->hasHeading ? 1 : 0, 4);
@endphp
<x-book :title="'Import · '.$channel->name" :channel="$channel" room="write">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="What is imported">
            <div class="page-head"><h1>Import</h1><a class="plain" href="{{ route('write', $channel) }}">Back to the commands</a></div>
            <form method="post" action="{{ route('write.import', $channel) }}" id="import" class="sentences">
                @csrf
                <p><label for="pasted">Paste lines like <code class="slot">!tide, High water at four.</code>, or a table with commas, semicolons or tabs between its columns. Nothing is saved before you press Import.</label></p>
                <textarea id="pasted" name="pasted" rows="9" class="pasted" spellcheck="false">{{ $form->pasted }}</textarea>
                @if ($form->table->rows !== [])
                    <h2>What its columns hold</h2>
                    <p><label><input type="checkbox" name="has_heading" value="1" @checked($form->columns->hasHeading)> The first row is a heading</label></p>
                    <div class="scrolled" tabindex="0" role="region" aria-label="What its columns hold"><table class="differences columns"><thead><tr>
                        @for ($i = 0; $i < $form->table->columns; $i++)
                            <th scope="col"><select name="columns[]" class="blank" aria-label="What {{ $called($i) }} holds">
                                <option value="">left out</option>
                                @foreach (ImportColumn::cases() as $one)<option value="{{ $one->value }}" @selected(($form->columns->held[$i] ?? null) === $one)>{{ $one->label() }}</option>@endforeach</select></th>
                        @endfor
                    </tr>@if ($heading !== [])<tr>@foreach ($heading as $cell)<th scope="col" class="small">{{ $cell }}</th>@endforeach</tr>@endif</thead><tbody>
                        @foreach ($shown as $cells)<tr>@foreach ($cells as $cell)<td>{{ Illuminate\Support\Str::limit($cell, 60, '…') }}</td>@endforeach</tr>@endforeach
                    </tbody></table></div>
                    @foreach (array_unique([...$asked, ...array_keys($form->columns->units)]) as $column)
                        <p @class(['problem' => in_array($column, $asked, true)])>{{ ucfirst($called($column)) }} has numbers without a unit: they are <select name="units[{{ $column }}]" class="blank" aria-label="Unit of {{ $called($column) }}" @if (in_array($column, $asked, true)) aria-invalid="true" @endif><option value="">…</option>@foreach (array_keys(ImportCell::UNITS) as $unit)<option @selected(($form->columns->units[$column] ?? '') === $unit)>{{ $unit }}</option>@endforeach</select></p>
                    @endforeach
                    @if ($leftOver !== [])<p class="small">Left out: {{ implode(', ', array_map($called, $leftOver)) }}.</p>@endif
                    @if ($form->table->isCut)<p class="problem">Only the first {{ PastedTable::MOST_ROWS }} rows are taken; import the rest afterwards.</p>@endif
                @endif
                <p><button class="{{ $rows === [] ? 'strong' : 'plain' }}" name="look" value="1">Check</button> <span class="small">{{ $rows === [] ? '' : 'again, after a change' }}</span></p>
            </form>
            @if ($rows === [])
                <h2>Or a pack document</h2>
                <form method="post" action="{{ route('write.pack', $channel) }}" enctype="multipart/form-data">@csrf
                    <p class="small">What <i>Export</i> gives: all commands, lists, counters, facts and emotes in one file. You see what it would change before anything is saved.</p>
                    <x-file-field name="pack" label="Pack document" accept=".json,.yaml,.yml" />
                    <p><button class="plain">Check the document</button></p></form>
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="Commands to import">
            @if ($rows === [])
                <div class="page-head"><h2>Commands to import</h2></div>
                <p class="small">Each command stands here first, with what is wrong with it and how to fix it.</p>
            @else
                <div class="page-head"><h2>{{ ucfirst($count(count($rows))) }}</h2>
                    @if (count($inOrder) < count($rows))<label class="small"><input type="checkbox" form="import" name="only_problems" value="1" data-only-problems @checked($form->onlyProblems)> only those with something wrong ({{ count($rows) - count($inOrder) }})</label>@endif
                    @if (count($mendable) > 1)<button form="import" class="plain" name="mend" value="all">Fix all {{ count($mendable) }} that can be fixed</button>@endif</div>
                @if ($problem !== '')<p class="problem">{{ $problem }}</p>@endif
                <ul @class(['ruled', 'to-import', 'is-narrowed' => $form->onlyProblems])>
                    @foreach ($rows as $key => $row)
                        <li @class(['is-off' => ! $row->canBeKept(), 'is-in-order' => $row->isInOrder()])>
                            <input form="import" name="triggers[{{ $key }}]" value="{{ $row->command->trigger }}" class="blank trigger-word" size="{{ max(8, min(24, mb_strlen($row->command->trigger))) }}" aria-label="Trigger {{ $loop->iteration }}" spellcheck="false">
                            @if ($row->command->triggers->aliases !== [])<span class="small">or {{ implode(', ', $row->command->triggers->aliases) }}</span>@endif
                            @if ($row->canBeKept())<label class="small"><input type="checkbox" form="import" name="leave[]" value="{{ $key }}" @checked(in_array($key, $leave, true))> leave out</label>@endif
                            <textarea form="import" name="texts[{{ $key }}]" rows="2" class="brought-text" aria-label="Response of {{ $row->command->trigger }}" spellcheck="false">{{ $row->text() }}</textarea>
                            @foreach ($row->problems as $why)<p class="problem">{{ $why }}</p>@endforeach
                            @if ($row->canBeKept())<p class="sentence small">{{ $row->sentence }}</p>@endif
                            @foreach ($row->findings as $finding)<p class="small"><span @class(['problem-text' => $finding->isError()])>{{ $finding->sentence() }}</span> {{ $finding->mend() }}</p>@endforeach
                            @if ($row->canBeMended())<button form="import" class="as-link" name="mend" value="{{ $key }}" aria-label="fix it: {{ $row->command->trigger }}">fix it</button>@endif
                        </li>
                    @endforeach
                </ul>
                <p class="save-bar"><button form="import" class="strong" name="import" value="1" @disabled($ready === [])>Import {{ $count(count($ready)) }}</button> <span class="small">into the draft; nothing on the air changes{{ count($ready) < count($rows) ? '. '.ucfirst($count(count($rows) - count($ready))).' cannot be imported yet' : '' }}</span></p>
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Import</a><a href="#right-page">Commands</a></nav>
</x-book>
