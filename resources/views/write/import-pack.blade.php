@php
    $kinds = ['new' => 'new', 'changed' => 'changed'];
    $count = count($differences);
@endphp
<x-book :title="'Import a pack · '.$channel->name" :channel="$channel" room="write">
    <main class="book is-single">
        <section class="page" id="left-page" aria-label="What the document would change">
            <div class="page-head"><h1>{{ match (true) { $findings !== [] => 'This document cannot be read', $count === 0 => 'Nothing to import', default => 'What the document would change' } }}</h1> <a class="plain" href="{{ route('write.import', $channel) }}">Choose another</a></div>
            @if ($findings !== [])
                <ul class="ruled">
                    @foreach (array_slice($findings, 0, 50) as $finding)<li><code>{{ $finding->at === '' ? 'the document' : $finding->at }}</code> <span class="problem-text">{{ $finding->sentence() }}</span> <span class="small">{{ $finding->mend() }}</span></li>@endforeach
                </ul>
            @elseif ($count === 0)
                <p>All that stands in it stands here already.</p>
            @else
                <p class="small">What is only here stays. Nothing on the air changes before you publish.</p>
                @if ($problem !== '')<p class="problem">{{ $problem }}</p>@endif
                <form method="post" action="{{ route('write.pack.import', $channel) }}">@csrf
                    <ul class="ruled changes-list">
                        @foreach ($differences as $difference)
                            @php($new = $difference->kind === 'new' ? $pack->byId($difference->id) : null)
                            <li><label><input type="checkbox" @if ($difference->trigger === '') name="rest" value="1" @else name="changes[]" value="{{ $difference->id }}" @endif checked> <b>{{ $difference->trigger === '' ? 'Everything else' : $difference->trigger }}</b></label> <span class="small">{{ $kinds[$difference->kind] ?? '' }}</span>
                                @foreach ($new?->responses ?? [] as $response)<p class="says">@include('write.partials.says', ['text' => $response->text()])</p>@endforeach
                                @foreach ($difference->kind === 'new' ? [] : $difference->fields as $field => [$before, $after])
                                    <div class="field-change"><span class="small">{{ preg_replace('/^responses (\d+) text$/', 'response $1', $field) }}</span> @include('publish.partials.changed-words')</div>
                                @endforeach</li>
                        @endforeach
                    </ul>
                    <p class="save-bar"><button class="strong">Import</button> <span class="small">what is ticked, into the draft</span></p>
                </form>
            @endif
        </section>
    </main>
</x-book>
