@php
    $mayWrite = auth()->user()->can('write', $channel);
    $fonts = ['serif' => 'as this page', 'sans' => 'without serifs', 'mono' => 'all letters as wide'];
    $aligned = ['left' => 'left', 'center' => 'middle', 'right' => 'right'];
    $editing = request()->integer('edit');
    $edited = $addresses->firstWhere('id', $editing);
    $look = App\Remember\Live\LiveLook::of(old() ?: ($edited?->look ?? []))->parts();
    $typed = old('shows', $edited?->shows ?? $shows);
@endphp
<x-book :title="'Live addresses · '.$channel->name" :channel="$channel" room="remember">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Live addresses">
            <div class="page-head"><h1>Live addresses</h1> @include('remember.partials.pages')</div>
            <p class="small">Each shows a number or a text as it is now, to whoever knows the address: plain, or transparent for a stream picture. It follows within two seconds.</p>
            <ul class="ruled">
                @forelse ($addresses as $address)
                    <li><b class="says" dir="auto">{{ $address->shows }}</b> <span class="small" dir="auto">now “{{ $live->of($address) }}”</span>
                        <div class="small"><a href="{{ route('live', $address->token) }}" rel="noopener" target="_blank">for a stream picture</a> · <a href="{{ route('live.text', $address->token) }}" rel="noopener" target="_blank">plain text</a>
                            @if ($mayWrite)<span class="controls"><a href="{{ route('remember.live', [$channel, 'edit' => $address->id]) }}#right-page" aria-label="edit {{ $address->shows }}">edit</a>
                                <form method="post" action="{{ route('remember.live.replace', [$channel, $address]) }}" class="inline">@csrf<button class="as-link" aria-label="another address for {{ $address->shows }}">another address</button></form>
                                <form method="post" action="{{ route('remember.live.destroy', [$channel, $address]) }}" class="inline">@csrf @method('delete')<button class="as-link" aria-label="delete {{ $address->shows }}">delete</button></form></span>@endif</div></li>
                @empty
                    <li>None yet.</li>
                @endforelse
            </ul>
            @include('partials.changes', ['kind' => 'live_addresses'])
        </section>
        <section class="page facing" id="right-page" aria-label="Make one">
            @if ($mayWrite)
                <div class="page-head"><h2>{{ $edited === null ? 'Make one' : 'Change it' }}</h2></div>
                <form method="post" action="{{ $edited === null ? route('remember.live.store', $channel) : route('remember.live.update', [$channel, $edited]) }}" class="named-form" data-live-form autocomplete="off">@csrf @if ($edited !== null) @method('put') @endif
                    <p class="line-field"><label for="shows">What it shows</label><textarea id="shows" name="shows" rows="2" maxlength="2000" dir="auto" spellcheck="false" required @error('shows') aria-invalid="true" aria-describedby="shows-problem" autofocus @enderror>{{ $typed }}</textarea></p><x-problem name="shows" />
                    <p>In letters <select name="font" class="blank" aria-label="Letters">@foreach ($fonts as $font => $label)<option value="{{ $font }}" @selected($look['font'] === $font)>{{ $label }}</option>@endforeach</select> of <input class="blank short" name="size" value="{{ $look['size'] }}" inputmode="numeric" maxlength="3" aria-label="Size in pixels"> pixels, colour <input class="blank short" name="colour" value="{{ $look['colour'] }}" maxlength="7" aria-label="Colour">, outline <input class="blank short" name="outline" value="{{ $look['outline'] }}" maxlength="7" aria-label="Outline">, at the <select name="align" class="blank" aria-label="Where it stands">@foreach ($aligned as $align => $label)<option value="{{ $align }}" @selected($look['align'] === $align)>{{ $label }}</option>@endforeach</select>.</p>
                    @foreach (['size', 'colour', 'outline'] as $field)<x-problem :name="$field" />@endforeach
                    <p><button class="strong">{{ $edited === null ? 'Make the address' : 'Save' }}</button> @if ($edited !== null)<a class="plain" href="{{ route('remember.live', $channel) }}">Cancel</a>@endif</p>
                    <div class="live-view"><output class="live-text" dir="auto" @if ($edited !== null) data-live="{{ route('live.text', $edited->token) }}" @endif @foreach ($look as $part => $value) data-{{ $part }}="{{ $value }}" @endforeach>{{ match (true) { $edited !== null => $live->of($edited), $typed === '' || $live->problem($channel, $typed) !== '' => '41', default => $live->say($channel, $typed) } }}</output></div>
                    <p class="small">The address may say the look too: <code>?size=64&amp;colour=%23ffcc00</code>.</p>
                </form>
            @endif
        </section>
    </main>
    <script src="{{ asset('assets/live.js') }}?v={{ filemtime(public_path('assets/live.js')) }}" defer></script>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Live addresses</a><a href="#right-page">Make one</a></nav>
</x-book>
