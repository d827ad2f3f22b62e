@php
    use App\Rehearse\Evenings\LogFiles;
    use SilverParrot\Rehearsal\Replay\LogForms;
    $mayWrite = auth()->user()->can('write', $channel);
    $size = $bytes < 1_000_000 ? number_format(max(1, intdiv($bytes, 1_000))).' kB' : number_format($bytes / 1_000_000, 1).' MB';
    $parts = ['time' => 'the time', 'who' => 'who', 'text' => 'what'];
@endphp
<x-book :title="'Replay · '.$channel->name" :channel="$channel" room="rehearse">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Replay">
            <div class="page-head"><h1>Replay</h1> @include('rehearse.partials.pages')</div>
            <p>A chat log is heard as if it were written now: what this draft would have said that evening, which questions it would leave open, and who else talks there by itself.</p>
            @if ($mayWrite && $hasEdition)<form method="post" action="{{ route('rehearse.night', $channel) }}" class="sentences">@csrf<p>Last night against this draft: the last <x-blank name="hours" label="Hours" :value="12" class="short" inputmode="numeric" maxlength="3" /> hours of the real chat, answer beside answer. <button class="plain">Compare</button></p><x-problem name="hours" /></form>@endif
            @if ($mayWrite)
                <form method="post" action="{{ route('rehearse.replay.part', $channel) }}" enctype="multipart/form-data" data-parts-to="{{ route('rehearse.replay.part', $channel) }}" data-part="{{ LogFiles::PART - 100_000 }}" data-largest="{{ LogFiles::LARGEST }}">@csrf
                    <p><x-file-field name="part" label="A chat log" accept=".log,.txt,.csv,.tsv,.jsonl,.json,text/plain" /> <button class="plain">Upload</button></p>
                    <p data-progress hidden><progress max="100" value="0" aria-label="How much is here"></progress> <span role="status"></span> <button type="button" class="plain small" data-stop>Stop</button></p>
                    <x-problem name="part" />
                </form>
                @if ($isWaiting)
                    <form method="get" action="{{ route('rehearse.replay', $channel) }}" class="sentences" id="log-form" hx-get="{{ route('rehearse.replay', $channel) }}" hx-trigger="change" hx-select="#left-page" hx-target="#left-page" hx-swap="outerHTML">
                        <h2 class="group">What came ({{ $size }})</h2>
                        <p>It is <select name="form" class="blank" aria-label="Form">@if ($form === null)<option value="">…</option>@endif @foreach (LogForms::labels() as $key => $label)<option value="{{ $key }}" @selected($form === $key)>{{ $label }}</option>@endforeach</select>, times are of <input name="zone" value="{{ $plan->zone }}" class="blank" size="16" maxlength="60" aria-label="Zone">, those without a day of <input type="date" name="day" value="{{ sprintf('%04d-%02d-%02d', ...$plan->day) }}" class="blank" aria-label="Day">.</p>
                        <p><label><input type="checkbox" name="nameless" value="1" @checked($plan->isNameless)> replace people’s names by others</label></p>
                        @if ($columns !== [])
                            <div class="scrolls" tabindex="0" role="group" aria-label="Columns"><table class="moments"><thead><tr>@foreach (array_keys($columns[0] ?? []) as $column)<th>@foreach ($parts as $name => $label)<label class="small of-all"><input type="radio" name="{{ $name }}" value="{{ $column }}" @checked(($plan->columns[array_search($name, array_keys($parts))] ?? 0) === $column)> {{ $label }}</label> @endforeach</th>@endforeach</tr></thead>
                                <tbody>@foreach ($columns as $row)<tr>@foreach ($row as $cell)<td dir="auto">{{ Str::limit($cell, 60) }}</td>@endforeach</tr>@endforeach</tbody></table></div>
                        @endif
                    </form>
                    <x-problem name="form" />
                    @if ($looked === null)<p class="problem">No form that is known reads it. These are its first lines:</p><pre class="small">@foreach ($lines as $line){{ Str::limit($line, 100) }}
@endforeach</pre>
                    @else
                        <p>Of its first lines, {{ $looked['count'] }} can be read{{ $looked['unread'] > 0 ? ', and '.$looked['unread'].' cannot:' : '.' }}</p>
                        @foreach ($looked['shown'] as [$number, $text])<p class="small problem-text" dir="auto">line {{ $number }}: {{ $text }}</p>@endforeach
                        <ol class="lines small">@foreach ($looked['read'] as [$at, $name, $text])<li class="line"><time>{{ $at }}</time> <b dir="auto">{{ $name }}</b> <span dir="auto">{{ Str::limit($text, 120) }}</span></li>@endforeach</ol>
                        <form method="post" action="{{ route('rehearse.replay.store', $channel) }}">@csrf
                            @foreach (['form' => $form, 'zone' => $plan->zone, 'day' => sprintf('%04d-%02d-%02d', ...$plan->day), 'nameless' => $plan->isNameless ? '1' : '', 'time' => $plan->columns[0] ?? '', 'who' => $plan->columns[1] ?? '', 'text' => $plan->columns[2] ?? ''] as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach
                            <p>Call it <x-blank name="name" label="Name" :value="''" placeholder="last Friday" maxlength="100" />, and hear <select name="of" class="blank" aria-label="What is heard"><option value="draft">the draft</option>@if ($hasEdition)<option value="edition">the edition on the air</option>@endif</select>.</p>
                            <p><button class="strong">Hear it</button></p>
                        </form>
                    @endif
                @endif
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="Rehearsals">
            @include('rehearse.partials.rehearsals')
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Replay</a><a href="#right-page">Rehearsals</a></nav>
</x-book>
