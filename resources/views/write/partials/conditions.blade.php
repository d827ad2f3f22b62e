{{-- What else must hold: each condition stands here once it is asked for. --}}
@foreach ($gates as $setting)
    @continue($setting::condition() === null)
    <fieldset class="condition" data-condition="{{ $setting::key() }}" aria-label="Only when {{ $setting::condition() }}" @unless (isset($given[$setting::key()])) hidden disabled @endunless>
        @include('write.gates.'.$setting::key(), ['setting' => $setting])
        <button type="button" class="as-link small" data-drop-condition>remove</button>
        @foreach ($problems['gates.'.$setting::key()] ?? [] as $problem)<p class="problem">{{ $problem }}</p>@endforeach
    </fieldset>
@endforeach
<select class="blank add-condition" data-add-condition aria-label="Only when …">
    <option value="">Only when …</option>
    @foreach ($gates as $setting) @if ($setting::condition() !== null)<option value="{{ $setting::key() }}" @disabled(isset($given[$setting::key()]))>{{ $setting::condition() }}</option>@endif @endforeach
</select>
