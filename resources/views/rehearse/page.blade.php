@php($mayWrite = auth()->user()->can('write', $channel))
<x-book :title="'Rehearse · '.$channel->name" :channel="$channel" room="rehearse">
    <main class="book is-rehearsal">
        <section class="page" id="left-page" data-keeps-place aria-label="Cast">
            <div class="page-head"><h1>Cast</h1> @include('rehearse.partials.pages')
                @if ($mayWrite)<a class="plain" href="{{ $new = route('rehearse', [$channel, 'person' => 'new']) }}" hx-get="{{ route('rehearse.cast.new', $channel) }}" hx-target="#new-person" hx-swap="innerHTML">Add a person</a>@endif</div>
            <p class="small">The people you rehearse with. They are simulated: nobody of the real chat is touched, and neither is what is remembered.</p>
            <div id="new-person">@if ($isAdding && $mayWrite)@include('rehearse.partials.person', ['person' => null])@endif</div>
            <ul class="entries">
                @foreach ($cast as $member)
                    <li class="entry" id="person-{{ $member->id }}">
                        @if ($edited === $member->id && $mayWrite)
                            @include('rehearse.partials.person', ['person' => $member])
                        @else
                            <b dir="auto">{{ $member->name }}</b> <span class="small">{{ implode(', ', array_map(fn ($level) => $level->label(), $member->levels)) ?: 'no level' }}{{ $member->tier > 1 ? ", tier {$member->tier}" : '' }}</span>
                            @if ($mayWrite)
                                <span class="controls"><a href="{{ route('rehearse', [$channel, 'person' => $member->id]) }}" hx-get="{{ route('rehearse.cast.edit', [$channel, $member]) }}" hx-target="#person-{{ $member->id }}" hx-swap="innerHTML" aria-label="edit {{ $member->name }}">edit</a>
                                    <form method="post" action="{{ route('rehearse.cast.destroy', [$channel, $member]) }}" class="inline" data-keeps-chat>@csrf @method('delete')<button class="as-link" aria-label="remove {{ $member->name }}">remove</button></form></span>
                            @endif
                            @if ($member->habits !== '')<p class="sentence" dir="auto">{{ $member->habits }}</p>@endif
                            @if ($member->record !== [] || array_filter([$member->details['category'] ?? '', $member->details['followed'] ?? '']) !== [])<p class="small record">
                                @foreach ($member->record as $field => $value)<span>{{ $field }} <b dir="auto">{{ $value }}</b></span> @endforeach
                                @if (($member->details['category'] ?? '') !== '')<span>last streamed <b dir="auto">{{ $member->details['category'] }}</b></span> @endif
                                @if (($member->details['followed'] ?? '') !== '')<span>follows since <b>{{ substr($member->details['followed'], 0, 10) }}</b></span>@endif</p>@endif
                        @endif
                    </li>
                @endforeach
            </ul>
            @include('partials.changes', ['kind' => 'cast'])
        </section>
        <aside class="margin" id="margin" aria-label="Why">@include('rehearse.partials.whys', ['heard' => $tried->heard])</aside>
        <section class="page facing" id="right-page" aria-label="Simulated chat">@include('rehearse.partials.chat', ['row' => null, 'canKeep' => true, 'withDraft' => false, 'isAnswer' => false, 'isLarge' => true])</section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Cast</a><a href="#right-page">Chat</a></nav>
</x-book>
