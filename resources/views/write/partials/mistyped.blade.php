{{-- What people wrote to the parrot and is nobody's trigger. --}}
@if ($mistyped !== [])
    <h2 class="group">Typed in the real chat, and not understood</h2>
    <ul class="ruled mistyped">
        @foreach ($mistyped as $one)
            <li><b dir="auto">{{ $one['typed'] }}</b> <span class="small">{{ $one['times'] === 1 ? 'once' : number_format($one['times']).' times' }}</span>
                @can('write', $channel)<form method="post" action="{{ route('write.alias', $channel) }}" class="inline">@csrf<input type="hidden" name="alias" value="{{ $one['typed'] }}"><input type="hidden" name="of" value="{{ $one['meant'] }}"><button class="as-link" aria-label="make it an alias of {{ $one['meant'] }}: {{ $one['typed'] }}">make it an alias of {{ $one['meant'] }}</button></form>@else <span class="small">{{ $one['meant'] }} perhaps</span>@endcan</li>
        @endforeach
    </ul>
@endif
