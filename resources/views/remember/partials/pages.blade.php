{{-- The pages of the room. --}}
<nav class="pages small" aria-label="Pages of Remember">
    @foreach (['remember' => 'Memory', 'remember.quotes' => 'Quotes'] as $name => $label)<a href="{{ route($name, $channel) }}" @if (request()->routeIs($name)) aria-current="page" @endif>{{ $label }}</a> @endforeach
</nav>
