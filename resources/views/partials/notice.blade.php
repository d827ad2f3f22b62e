{{-- What has just happened, with its undo. --}}
@if ($notice)
    <p class="notice">{{ $notice }}
        @if ($undo && $channel)
            <form method="post" action="{{ route('write.undo', [$channel, $undo]) }}" class="inline">@csrf<button class="as-link">Undo</button></form>
        @endif
    </p>
@endif
