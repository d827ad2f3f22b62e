@props(['name', 'label', 'type' => 'text', 'value' => null])
<p class="line-field">
    <label for="{{ $name }}">{{ $label }}</label>
    <input dir="auto" id="{{ $name }}" name="{{ $name }}" type="{{ $type }}" value="{{ $type === 'password' ? '' : old($name, $value) }}" {{ $attributes }} @error($name) @if (! $attributes->has('autofocus')) autofocus @endif aria-invalid="true" aria-describedby="{{ $name }}-problem" @enderror>
    @error($name)<span class="problem" id="{{ $name }}-problem">{{ $message }}</span>@enderror
</p>
