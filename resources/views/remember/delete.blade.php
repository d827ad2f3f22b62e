{{-- What would miss it, before it goes. --}}
<x-book :title="'Delete · '.$channel->name" :channel="$channel" room="remember" :address="route('remember', $channel)">
    <main class="book is-single">
        <section class="page" id="left-page" aria-label="What would miss it">
            <div class="page-head"><h1>Delete {{ $name }}?</h1> <a class="plain" href="{{ $back }}">Keep it</a></div>
            <p>{{ count($users) === 1 ? 'One uses it and would fail' : count($users).' use it and would fail' }} where it stands: {{ implode(', ', array_slice($users, 0, 50)) }}. What is on the air changes only when you publish, and a deletion can be undone.</p>
            <form method="post" action="{{ $action }}">@csrf @method('delete')<input type="hidden" name="confirmed" value="1"><p><button class="strong">Delete it</button></p></form>
        </section>
    </main>
</x-book>
