@php
    use App\Remember\Lookups\LookupRows;
    $mayWrite = auth()->user()->can('write', $channel);
    $formats = ['json' => 'JSON', 'xml' => 'XML or a feed', 'html' => 'a web page', 'text' => 'plain text'];
    $isNew = $edited === null;
@endphp
<x-book :title="'Look-ups · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Look-ups">
            <div class="page-head"><h1>Look-ups</h1> @include('remember.partials.pages')</div>
            @unless ($isNew)
                @include('remember.lookups.shown')
                <h2>All look-ups</h2>
            @endunless
            @include('remember.lookups.all')
            @if ($mayWrite && ! $isNew)<p><a class="plain" href="{{ route('remember.lookups', $channel) }}">A new one</a></p>@endif
            <h2>Who may be asked</h2>
            @include('remember.lookups.hosts')
            @include('remember.lookups.addresses')
            @include('partials.changes', ['kind' => 'lookups'])
        </section>
        <section class="page facing" id="right-page" aria-label="Look-up">
            @if ($mayWrite)
                <div class="page-head"><h2>{{ $isNew ? 'A new one' : "lookup.{$edited->name}" }}</h2></div>
                <form id="lookup-form" method="post" action="{{ $isNew ? route('remember.lookups.store', $channel) : route('remember.lookups.update', [$channel, $edited->stable_id]) }}" class="named-form" data-lookup-form autocomplete="off">@csrf @unless ($isNew) @method('put') @endunless
                    <input type="hidden" name="stable" value="{{ $edited->stable_id ?? '' }}"><input type="hidden" name="draft" value="{{ $draft }}">
                    <p>It is called <input name="name" value="{{ old('name', $lookup->name) }}" class="blank" size="12" maxlength="60" placeholder="tide" aria-label="Name" spellcheck="false">, and answers in <select name="format" class="blank" aria-label="Format">@foreach ($formats as $format => $label)<option value="{{ $format }}" @selected($lookup->format->value === $format)>{{ $label }}</option>@endforeach</select>.</p><x-problem name="name" />
                    <p class="line-field"><label for="address">Address</label><input id="address" name="address" value="{{ old('address', $lookup->address->text) }}" maxlength="2000" spellcheck="false" placeholder="paste an example: https://tides.example/porth?days=2" data-address></p><x-problem name="address" />
                    <p class="small" data-parts hidden>Make a parameter of <span data-part-list></span></p>
                    <div data-rows="parameters">@foreach ($typed->parameters as $index => $one)@include('remember.lookups.parameter')@endforeach</div>
                    <template data-template="parameters">@include('remember.lookups.parameter', ['index' => 99, 'one' => LookupRows::noParameter()])</template>
                    <h3>Readings</h3>
                    <div data-rows="readings">@foreach ($typed->readings as $index => $one)@include('remember.lookups.reading')@endforeach</div>
                    <template data-template="readings">@include('remember.lookups.reading', ['index' => 99, 'one' => LookupRows::noReading()])</template>
                    <p><button type="button" class="as-link" data-add-row="readings">Add a reading</button></p>
                    <x-more :is-open="false">
                        <p>An answer is kept as long as the source says, at least <input name="keep[least]" value="{{ $typed->keep['least'] }}" class="blank short" inputmode="numeric" maxlength="6" aria-label="Seconds at least">&nbsp;s and at most <input name="keep[most]" value="{{ $typed->keep['most'] }}" class="blank short" inputmode="numeric" maxlength="6" aria-label="Seconds at most">&nbsp;s; while the source is down, <input name="keep[stale]" value="{{ $typed->keep['stale'] }}" class="blank short" inputmode="numeric" maxlength="6" aria-label="Seconds longer while the source is down">&nbsp;s longer. While the stream is live, ask every <input name="keep[ahead]" value="{{ $typed->keep['ahead'] }}" class="blank short" inputmode="numeric" maxlength="4" placeholder="–" aria-label="Minutes after which it is asked ahead">&nbsp;min before anybody does.</p>@foreach (['least', 'most', 'stale', 'ahead'] as $part)@error("keep.$part")<p class="problem">{{ $message }}</p>@enderror @endforeach
                        @foreach ([...$typed->headers, ['name' => '', 'value' => '', 'secret' => '']] as $index => $header)<p>Header <input name="headers[{{ $index }}][name]" value="{{ $header['name'] }}" class="blank" size="14" maxlength="60" placeholder="Accept" aria-label="{{ $header['name'] === '' ? 'New header' : 'Header' }}"> <input type="{{ $header['secret'] === '' ? 'text' : 'password' }}" autocomplete="new-password" name="headers[{{ $index }}][value]" value="{{ $header['value'] }}" class="blank" size="24" maxlength="1000" placeholder="{{ $header['secret'] === '' ? 'application/json' : ($errors->isEmpty() ? 'kept; type another to replace it' : 'type it again') }}" aria-label="{{ $header['name'] === '' ? 'Value of the new header' : 'Its value' }}"> <label><input type="checkbox" name="headers[{{ $index }}][secret]" value="1" @checked($header['secret'] !== '')> secret</label></p>@error("headers.$index.name")<p class="problem">{{ $message }}</p>@enderror @error("headers.$index.value")<p class="problem">{{ $message }}</p>@enderror @endforeach
                        <p class="small">A secret, here or in the address, is encrypted, never shown again, in no export, and goes to this address’s host alone.</p>
                    </x-more>
                    <p><button class="strong">Save</button> <button type="button" class="plain" hx-post="{{ route('remember.lookups.ask', $channel) }}" hx-include="#lookup-form" hx-params="not _method" hx-target="#lookup-answer" hx-swap="outerHTML" hx-disabled-elt="this">Ask now</button></p>
                    <div hx-post="{{ route('remember.lookups.try', $channel) }}" hx-include="#lookup-form" hx-params="not _method" hx-trigger="tried from:#lookup-form" hx-target="#lookup-values" hx-swap="outerHTML" hx-sync="this:replace"></div>
                </form>
                @if ($isNew)@include('remember.lookups.shown')@endif
            @endif
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Look-ups</a><a href="#right-page">One of them</a></nav>
</x-book>
