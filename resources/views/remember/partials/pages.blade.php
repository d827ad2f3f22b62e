{{-- The pages of the room. --}}
<nav class="pages small" aria-label="Pages of Remember">
    @foreach (['remember' => 'Memory', 'remember.quotes' => 'Quotes', 'remember.viewers' => 'Viewers', 'remember.points' => 'Points', 'remember.plan' => 'Plan', 'remember.live' => 'Live'] as $name => $label)<a href="{{ route($name, $channel) }}" @if (request()->routeIs($name)) aria-current="page" @endif>{{ $label }}</a> @endforeach
</nav>
