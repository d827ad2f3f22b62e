{{-- Checks that are not through yet: the page asks again by itself, and goes on where it ended. --}}
@if ($found->left > 0)
    <p class="looking" role="status" hx-get="{{ $again }}" hx-trigger="load delay:300ms" hx-select="#left-page" hx-target="#left-page" hx-swap="outerHTML"><progress max="{{ $found->commands }}" value="{{ $found->commands - $found->left }}"></progress>
        {{ $found->commands - $found->left }} of {{ $found->commands }} commands are looked at. <a class="plain" href="{{ $again }}">Go on</a></p>
@endif
