{{-- A number for each level, shown when somebody asks for it, or where one is set. --}}
@php($isOpen = $numbers->numbers !== [] || array_filter((array) request(strtr($name, ['[' => '.', ']' => '']), [])) !== [])
<button type="button" class="as-link small" data-reveals @if ($isOpen) hidden @endif>{{ $label }}</button><span class="some" @unless ($isOpen) hidden @endunless>but for
    @foreach (array_slice(SilverParrot\Chat\Level::cases(), 1) as $level)
        <label class="several">{{ $level->plural() }}&nbsp;<input name="{{ $name }}[{{ $level->word() }}]" value="{{ request(strtr($name, ['[' => '.', ']' => '']).'.'.$level->word(), $numbers->write()[$level->word()] ?? '') }}" class="blank short" inputmode="numeric" placeholder="same" aria-label="For {{ $level->plural() }}">{{ $unit }}</label>
    @endforeach
</span>
