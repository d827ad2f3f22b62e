@props(['name', 'bag' => 'default'])
@error($name, $bag)<p class="problem" id="{{ $bag === 'default' ? "$name-problem" : 'problem-'.hash('xxh32', "$bag $name") }}">{{ $message }}</p>@enderror
