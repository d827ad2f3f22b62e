{{-- The pages of the room. --}}
<nav class="pages small" aria-label="Pages of Remember">
    @foreach (['remember' => 'Memory', 'remember.quotes' => 'Quotes', 'remember.viewers' => 'Viewers', 'remember.regulars' => 'Regulars', 'remember.points' => 'Points', 'remember.ranks' => 'Ranks', 'remember.goods' => 'Goods', 'remember.plan' => 'Plan', 'remember.live' => 'Live', 'remember.lookups' => 'Look-ups'] as $name => $label)<a href="{{ route($name, $channel) }}" @if (request()->routeIs($name)) aria-current="page" @endif>{{ $label }}</a> @endforeach
</nav>
