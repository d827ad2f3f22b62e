{{-- What a response does before it says something. --}}
@php
    $named = $typed['do'] ?? ($own->deed === null ? '' : $own->deed->deed::key());
    $with = is_array($typed['with'] ?? null) ? $typed['with'] : [];
@endphp
<p class="only small"><button type="button" class="as-link" data-reveals @if ($named !== '') hidden @endif>do something first</button><span class="some" @if ($named === '') hidden @endif>first&nbsp;<select name="responses[{{ $index }}][do]" class="blank" aria-label="What is done before it is said" data-shows><option value="">do nothing</option>@foreach (SilverParrot\Hearing\Deeds\Deeds::all() as $key => $deed)<option value="{{ $key }}" @selected($named === $key)>{{ __('deeds.'.str_replace(' ', '-', $key).'.label') }}</option>@endforeach</select>
    @foreach (SilverParrot\Hearing\Deeds\Deeds::all() as $key => $deed)
        <span data-shown-for="{{ $key }}" @if ($named !== $key) hidden @endif>@foreach ($deed->inputs() as $input => $usual)<label>{{ __('deeds.'.str_replace(' ', '-', $key).'.'.$input) }} <input dir="auto" name="responses[{{ $index }}][with][{{ $key }}/{{ $input }}]" value="{{ $with["$key/$input"] ?? ($named === $key ? $own->deed->with[$input] ?? '' : '') }}" class="blank" size="14" maxlength="2000" @disabled($named !== $key) placeholder="{{ $usual === '' ? __('deeds.usual.'.$input) : $usual }}" spellcheck="false">{{ $loop->last ? '' : ',' }}</label> @endforeach</span>
    @endforeach
    </span></p>
