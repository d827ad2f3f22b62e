@php($mayWrite = auth()->user()->can('write', $channel))
<x-book :title="'Help · '.$channel->name" :channel="$channel" room="write">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Examples">
            <div class="page-head"><h1>Ten examples</h1> <a class="plain" href="{{ route('write', $channel) }}">Back to the commands</a></div>
            <p>A response is plain text. What stands in square brackets is a slot: it is filled in when the parrot says it{{ $caller === null ? '' : ', here for '.$caller->name }}.</p>
            <ol class="ruled examples">
                @foreach (SilverParrot\Hearing\WorkedExample::cases() as $example)
                    <li><b>{{ $example->title() }}</b>
                        <p class="says">@include('write.partials.says', ['text' => $example->response($pack)])</p>
                        @if ($said[$example->value] !== null)<p>@if ($example->typed() !== '')<span class="small">typing “{{ $example->typed() }}” says</span> @else<span class="small">says</span> @endif<x-saying :text="$said[$example->value]" :$channel/></p>@endif
                        <p class="small">{{ $example->lesson() }} @if ($mayWrite)<a class="as-link" href="{{ route('write.new', ['channel' => $channel, 'example' => $example->value]) }}" aria-label="Use it: {{ $example->title() }}">Use it</a>@endif</p></li>
                @endforeach
            </ol>
        </section>
        <section class="page facing" id="right-page" tabindex="0" aria-label="What you can use in a slot">
            <div class="page-head"><h2>What you can use in a slot</h2></div>
            <p class="small">While you write, <kbd>[</kbd> offers these, with what your own counters, lists and facts are now.</p>
            @php($heading = '')
            <dl class="help-list">
                @foreach ($entries as $entry)
                    @if ($entry->heading !== $heading)</dl><h3>{{ $heading = $entry->heading }}</h3><dl class="help-list">@endif
                    <div><dt><code class="slot">{{ $entry->insert }}</code></dt><dd>{{ $entry->sentence() }} @if ($entry->described->example !== '')<span class="says small">@include('write.partials.says', ['text' => $entry->described->example])</span>@endif</dd></div>
                @endforeach
            </dl>
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Examples</a><a href="#right-page">All of it</a></nav>
</x-book>
