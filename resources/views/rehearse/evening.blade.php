@php($mayWrite = auth()->user()->can('write', $channel))
<x-book :title="$row->title.' · '.$channel->name" :channel="$channel" room="rehearse">
    <main class="book is-single">
        <section class="page" id="left-page" aria-label="An evening">
            <div class="page-head"><h1>{{ $row->title }}</h1> @include('rehearse.partials.pages')</div>
            @include('rehearse.partials.progress')
            @if ($drawing !== null)
                @include('rehearse.partials.sentence')
                @include('rehearse.partials.picture')
                @include('rehearse.partials.advice')
                @isset ($row->result['replay'])@include('rehearse.partials.replayed')@endisset
                @include('rehearse.partials.beside')
                @include('rehearse.partials.figures')
                <p class="small">Heard {{ $row->ended_at?->setTimezone($channel->zone)->format('j M, H:i:s') }} against {{ ($row->options['edition'] ?? false) ? 'the edition on the air' : 'the draft as it was then' }}, on a copy of memory; kept for {{ App\Models\RehearsalRow::DAYS }} days. <a href="{{ route('rehearse.evening.report', [$channel, $row]) }}">The report as JSON</a>, <a href="{{ route('rehearse.evening.report', ['channel' => $channel, 'rehearsal' => $row, 'as' => 'page']) }}">as a page to print</a>@if ($row->kind === SilverParrot\Rehearsal\RehearsalKind::Crowd)<a href="{{ route('rehearse.crowd', ['channel' => $channel, 'like' => $row->id]) }}" class="ms-2">Again</a>@endif</p>
                @if ($mayWrite)<form method="post" action="{{ route('rehearse.evening.destroy', [$channel, $row]) }}">@csrf @method('delete')<button class="as-link small">delete it</button></form>@endif
            @endif
        </section>
    </main>
</x-book>
