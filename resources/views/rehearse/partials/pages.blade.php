{{-- The pages of the room. --}}
<nav class="pages small" aria-label="Pages of Rehearse">
    @foreach (['rehearse' => 'Chat', 'rehearse.scripts' => 'Scripts', 'rehearse.crowd' => 'A crowd'] as $name => $label)@if (Route::has($name))<a href="{{ route($name, $channel) }}" @if (request()->routeIs($name)) aria-current="page" @endif>{{ $label }}</a> @endif @endforeach
</nav>
