@php($mayWrite = auth()->user()->can('write', $channel))
<x-book :title="'Deleted commands · '.$channel->name" :channel="$channel" room="write">
    <main class="book is-single">
        <section class="page" id="left-page" aria-label="Deleted commands">
            <div class="page-head"><h1>Deleted commands</h1> <a class="plain" href="{{ route('write', $channel) }}">Back to the commands</a></div>
            <p class="small">A deleted command can be restored for {{ App\Write\DeletedCommands::DAYS }} days. What is on the air changes only when you publish.</p>
            <ul class="entries">
                @forelse ($deleted as $one)
                    <li class="entry">
                        <b class="trigger-word">{{ $one['command']->trigger }}</b>
                        <span class="small">deleted by {{ $one['change']->user?->name ?? $one['change']->viewer?->name ?? 'somebody' }}, {{ $one['change']->created_at->setTimezone($channel->zone)->format('j M, H:i') }}</span>
                        @if ($mayWrite)<span class="controls"><form method="post" action="{{ route('write.undo', [$channel, $one['change']]) }}" class="inline">@csrf<button class="as-link" aria-label="restore {{ $one['command']->trigger }}">restore</button></form></span>@endif
                        @foreach ($one['command']->responses as $response)
                            <p class="says">@include('write.partials.says', ['text' => $response->text()])</p>
                        @endforeach
                        <p class="sentence">{{ $one['sentence'] }}</p>
                    </li>
                @empty
                    <li class="entry">Nothing was deleted in the last {{ App\Write\DeletedCommands::DAYS }} days.</li>
                @endforelse
            </ul>
        </section>
    </main>
</x-book>
