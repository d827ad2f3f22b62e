{{-- What is rarely chosen: closed where something is made, open where it is changed, or where something in it is wrong. --}}
@props(['isOpen' => false])
<details class="more small" @if ($isOpen || $errors->isNotEmpty()) open @endif><summary>More</summary>{{ $slot }}</details>
