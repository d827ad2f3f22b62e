{{-- Who may be asked, and how asking went. --}}
@php($mayAllow = auth()->user()->can('manage', $channel))
<ul class="ruled" id="lookup-hosts" @if ($isOob ?? false) hx-swap-oob="true" @endif>
    @forelse ($allowed as $host)
        @php($health = $hosts[$host] ?? null)
        @php($told = App\Web\HostHealth::of($health->last ?? '{}'))
        <li><b>{{ $host }}</b> @if ($mayAllow)<form method="post" action="{{ route('remember.lookups.forbid', $channel) }}" class="inline controls">@csrf @method('delete')<input type="hidden" name="host" value="{{ $host }}"><button class="as-link" aria-label="don’t ask it any more: {{ $host }}">don’t ask it any more</button></form>@endif
            @if ($health !== null)<div class="small">Asked {{ [1 => 'once', 2 => 'twice'][$health->asked] ?? number_format($health->asked).' times' }}, {{ number_format($health->from_kept) }} times answered from what was kept{{ $health->failures > 0 ? '; '.($health->failures === 1 ? 'it failed once' : "it failed {$health->failures} times in a row") : '' }}.@if ($told->failures !== []) Failures: {{ $told->failuresInWords() }}.@endif @if ($told->last !== []) Last: @foreach ($told->last as [$at, $what]){{ $loop->first ? '' : ', ' }}{{ App\Web\HostHealth::inWords($what) }} at {{ Illuminate\Support\Carbon::parse($at)->setTimezone($channel->zone)->format('H:i:s') }}@endforeach.@endif @if ($health->rests_until !== null && $health->rests_until > now('UTC')->format('Y-m-d H:i:s.v')) <span class="problem-text">It is left alone until {{ Illuminate\Support\Carbon::parse($health->rests_until, 'UTC')->setTimezone($channel->zone)->format('H:i:s') }}.</span>@endif</div>@endif</li>
    @empty
        <li>Nobody yet. A host is asked once the streamer has allowed it.</li>
    @endforelse
</ul>
