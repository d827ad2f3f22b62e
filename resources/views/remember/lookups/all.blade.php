@php use App\Web\WebLookups; @endphp
{{-- All look-ups, with what uses them. --}}
@php($mayWrite = auth()->user()->can('write', $channel))
<ul class="ruled" id="all-lookups" @if ($isOob ?? false) hx-swap-oob="true" @endif>
    @forelse ($rows as $row)
        @php($one = $row->lookup())
        @php($used = $uses['lookup.'.$row->name_folded] ?? [])
        @php($host = WebLookups::hostOf($one))
        <li><b>lookup.{{ $one->name }}</b> <span class="small">@if ($used === [])not used @else used in @foreach (array_slice($used, 0, 3) as $user)<a href="{{ App\Remember\UsesOfNames::place($channel, $user) }}">{{ $user }}</a>{{ $loop->last ? '' : ', ' }}@endforeach{{ count($used) > 3 ? ' and '.(count($used) - 3).' more' : '' }}@endif</span> <span class="small" dir="auto">{{ $one->address->text }}</span>
            @if ($mayWrite)<span class="controls"><a href="{{ route('remember.lookups', [$channel, 'edit' => $row->stable_id]) }}" aria-label="edit lookup.{{ $one->name }}">edit</a> <form method="post" action="{{ route('remember.lookups.copy', [$channel, $row->stable_id]) }}" class="inline">@csrf<button class="as-link" aria-label="copy lookup.{{ $one->name }}">copy</button></form> <form method="post" action="{{ route('remember.lookups.destroy', [$channel, $row->stable_id]) }}" class="inline">@csrf @method('delete')<button class="as-link" aria-label="delete lookup.{{ $one->name }}">delete</button></form></span>@endif
            <div class="small">@foreach (array_slice(array_values($one->readings), 0, 6) as $reading){{ $loop->first ? 'Reads ' : ', ' }}{{ $reading->name }}@endforeach{{ $one->readings === [] ? 'Nothing is read from it yet' : '' }}.
                @if (! in_array($host, $allowed, true))<span class="problem-text">{{ $host }} isn’t allowed yet.</span>@endif</div></li>
    @empty
        <li>No look-ups yet. One takes a value from a web source into responses: the tide, the weather, a price.</li>
    @endforelse
</ul>
