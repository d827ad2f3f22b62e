{{-- Which sayings another text of a fact changes, before it does. --}}
<x-book :title="'fact.'.$name.' · '.$channel->name" :channel="$channel" room="remember" :address="route('remember', $channel)">
    <main class="book is-single">
        <section class="page" id="left-page" aria-label="Which sayings it changes">
            <div class="page-head"><h1>fact.{{ $name }}</h1> <a class="plain" href="{{ route('remember', $channel) }}">Cancel</a></div>
            <p>{{ count($changed) === 1 ? 'One saying becomes another' : count($changed).' sayings become others' }}, as they would be said now. What is on the air changes only when you publish.</p>
            <ul class="ruled">
                @foreach ($changed as [$trigger, $before, $after])
                    <li><b class="trigger-word">{{ $trigger }}</b> <div class="field-change">@include('publish.partials.changed-words')</div></li>
                @endforeach
            </ul>
            <form method="post" action="{{ route('remember.named.update', [$channel, 'facts', $stable]) }}">@csrf @method('put')
                @foreach ($typed as $field => $value)<input type="hidden" name="{{ $field }}" value="{{ is_string($value) ? $value : '' }}">@endforeach
                <input type="hidden" name="seen_sayings" value="1">
                <p><button class="strong">Save it</button></p>
            </form>
        </section>
    </main>
</x-book>
