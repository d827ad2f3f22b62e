@props(['title'])
{{-- A single page for whoever is not in yet. --}}
<x-book :title="$title">
    <main class="door" id="left-page">
        <h1>{{ $title }}</h1>
        {{ $slot }}
    </main>
</x-book>
