{{-- What a new name changes, before it does. --}}
<x-book :title="'Rename · '.$channel->name" :channel="$channel" room="remember" :address="route('remember', $channel)">
    <main class="book is-single">
        <section class="page" id="left-page" aria-label="What the new name changes">
            <div class="page-head"><h1>Rename {{ $from }} to {{ $to }}</h1> <a class="plain" href="{{ $back }}">Cancel</a></div>
            <p>It is renamed in {{ implode(' and ', array_filter([$uses === [] ? '' : (count($uses) === 1 ? 'one command' : count($uses).' commands'), $owns === [] ? '' : (count($owns) === 1 ? 'one text' : count($owns).' texts').' said as responses'])) }} too. What it has kept stays.</p>
            <ul class="ruled">
                @foreach ($uses as $use)
                    <li><b class="trigger-word">{{ $use['row']->trigger }}</b>
                        @foreach ($use['texts'] as [$before, $after])<div class="field-change">@include('publish.partials.changed-words')</div>@endforeach</li>
                @endforeach
                @foreach ($owns as [$where, $before, $after])<li><b>{{ $where }}</b> <div class="field-change">@include('publish.partials.changed-words')</div></li>@endforeach
            </ul>
            <form method="post" action="{{ $action }}">@csrf @method('put')
                @foreach (Illuminate\Support\Arr::dot($typed) as $field => $value)<input type="hidden" name="{{ preg_replace('/\.([^.]*)/', '[$1]', $field) }}" value="{{ is_string($value) ? $value : '' }}">@endforeach
                <input type="hidden" name="confirmed" value="1">
                <p><button class="strong">Rename</button></p>
            </form>
        </section>
    </main>
</x-book>
