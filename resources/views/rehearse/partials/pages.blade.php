{{-- The pages of the room. --}}
<nav class="pages small" aria-label="Pages of Rehearse">
    @foreach (['rehearse' => 'Chat', 'rehearse.scripts' => 'Scripts', 'rehearse.crowd' => 'A crowd', 'rehearse.replay' => 'Replay'] as $name => $label)<a href="{{ route($name, $channel) }}" @if (request()->routeIs($name)) aria-current="page" @endif>{{ $label }}</a> @endforeach
</nav>
