{{-- Our own file chooser: a button, and the name of what was chosen. --}}
@props(['name', 'label'])
<span class="file-field"><label class="plain" for="file-{{ $name }}">Choose a file</label> <input type="file" id="file-{{ $name }}" name="{{ $name }}" class="visually-hidden" aria-label="{{ $label }}" data-file {{ $attributes }} @error($name) aria-invalid="true" aria-describedby="{{ $name }}-problem" @enderror><span class="small" data-file-name>no file chosen</span></span>
@error($name)<p class="problem" id="{{ $name }}-problem">{{ $message }}</p>@enderror
