{{-- A field in the middle of a sentence; what is wrong with it stands in <x-problem> behind the sentence. One of several forms of a page has a bag of errors of its own. --}}
@props(['name', 'label', 'type' => 'text', 'value' => '', 'bag' => 'default'])
@php
    $isTyped = $type !== 'password' && ($bag === 'default' || $errors->getBag($bag)->isNotEmpty());
    $id = $bag === 'default' ? "$name-problem" : 'problem-'.hash('xxh32', "$bag $name");
@endphp
<input dir="auto" name="{{ $name }}" type="{{ $type }}" value="{{ $isTyped ? old($name, $value) : $value }}" aria-label="{{ $label }}" {{ $attributes->class('blank') }} @error($name, $bag) autofocus aria-invalid="true" aria-describedby="{{ $id }}" @enderror>