@php
    $shown = array_slice($rows, 0, 200);
    $states = array_count_values(array_map(fn ($row) => $row->state->value, $rows));
    $kept = count(array_filter($rows, fn ($row) => $row->isKept()));
    $query = array_filter([$channel, $transfer->key(), 'of' => $of]);
@endphp
<x-book :title="'Import '.$transfer->many().' · '.$channel->name" :channel="$channel" room="remember" :address="route('remember.bring', $query)">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="What is brought">
            <div class="page-head"><h1>Import {{ $transfer->many() }}</h1> @include('remember.partials.pages')</div>
            <form method="post" action="{{ route('remember.look', $query) }}" enctype="multipart/form-data">@csrf
                <p><x-file-field name="file" label="A file with {{ $transfer->many() }}" accept=".csv,.json,.txt,.tsv" /></p>
                <p class="line-field"><label for="pasted">or paste them here, one a line</label><textarea id="pasted" name="pasted" rows="12" dir="auto" spellcheck="false" @error('pasted') aria-invalid="true" aria-describedby="pasted-problem" autofocus @enderror>{{ $errors->any() ? old('pasted') : mb_substr($text, 0, 200000) }}</textarea></p>
                @error('pasted')<p class="problem" id="pasted-problem">{{ $message }}</p>@enderror
                @if ($problem !== '')<p class="problem">{{ $problem }}</p>@endif
                <p><button class="plain">Look at it</button></p>
            </form>
            <p class="small">CSV with the names of its columns in the first line, JSON, or lines that hold {{ str_replace('_', ' ', $transfer->main()) }}. Columns: {{ implode(', ', $transfer->columns()) }}.</p>
        </section>
        <section class="page facing" id="right-page" aria-label="What would be kept">
            <div class="page-head"><h2>What would be kept</h2></div>
            @if ($rows === [])
                <p>Nothing yet. What you bring is shown here first; nothing is kept before you say so.</p>
            @else
                <p>{{ implode(', ', array_map(fn ($state, $count) => number_format($count).' '.$state, array_keys($states), $states)) }}</p>
                @if ($kept > 0)<form method="post" action="{{ route('remember.bring.keep', $query) }}">@csrf<p class="save-bar"><button class="strong">{{ $kept === 1 ? 'Keep it' : 'Keep '.number_format($kept) }}</button>@if (($states['left out'] ?? 0) > 0) <span class="small">the rest is left out</span>@endif</p></form>@endif
                <ul class="ruled">
                    @foreach ($shown as $row)
                        <li><span class="small">{{ $row->state->value }}</span> <span dir="auto">{{ $row->told }}</span>@if ($row->problem !== '') <span class="problem-text">{{ $row->problem }}</span>@endif</li>
                    @endforeach
                    @if (count($rows) > count($shown))<li class="small">and {{ number_format(count($rows) - count($shown)) }} more</li>@endif
                </ul>
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">What is brought</a><a href="#right-page">What would be kept</a></nav>
</x-book>
