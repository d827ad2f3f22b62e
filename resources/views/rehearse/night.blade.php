@php
    $mayWrite = auth()->user()->can('write', $channel);
    $of = $row->result;
    $heads = ['different' => 'Answered differently', 'newly' => 'Newly answered', 'no_longer' => 'No longer answered'];
@endphp
<x-book :title="$row->title.' · '.$channel->name" :channel="$channel" room="rehearse">
    <main class="book is-single">
        <section class="page" id="left-page" aria-label="Last night">
            <div class="page-head"><h1>{{ $row->title }}</h1> @include('rehearse.partials.pages')</div>
            @include('rehearse.partials.progress')
            @if ($of !== null)
                <p>{{ match ($of['lines']) { 0 => 'Nothing was written in this time.', 1 => 'One line was looked at.', default => number_format($of['lines']).' lines were looked at.' } }} {{ number_format($of['same']) }} {{ $of['same'] === 1 ? 'answer stays' : 'answers stay' }} the same, {{ number_format($of['different']) }} {{ $of['different'] === 1 ? 'is' : 'are' }} different, {{ number_format($of['newly']) }} would be new, {{ number_format($of['no_longer']) }} would be missing. Each line is heard as it was then: by the same person, with what it found.</p>
                @foreach ($heads as $kind => $head)
                    @if ($of['shown'][$kind] !== [])
                        <h2>{{ $head }} ({{ number_format($of[$kind]) }})</h2>
                        <ul class="ruled">
                            @foreach ($of['shown'][$kind] as $one)
                                <li><details class="twice" hx-get="{{ route('publish.twice', [$channel, $one['line']]) }}" hx-trigger="toggle once" hx-target="find .whys"><summary><time class="small">{{ Illuminate\Support\Carbon::parse($one['at'])->setTimezone($channel->zone)->format('j M, H:i:s') }}</time> <b dir="auto">{{ $one['by'] }}</b> <span dir="auto">{{ $one['text'] }}</span>
                                    <span class="field-change">@include('publish.partials.changed-words', ['before' => $one['before'] === '' ? '(silent)' : $one['before'], 'after' => $one['after'] === '' ? '(silent)' : $one['after']])</span></summary>
                                    <div class="whys"></div></details></li>
                            @endforeach
                        </ul>
                        @if ($of[$kind] > count($of['shown'][$kind]))<p class="small">The last {{ count($of['shown'][$kind]) }} of them.</p>@endif
                    @endif
                @endforeach
            @endif
        </section>
    </main>
</x-book>
