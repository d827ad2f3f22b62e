{{-- What has just happened, with its undo. --}}
@if ($notice)
    <div class="notice">{{ $notice }}
        @if ($undo)
            <form method="post" action="{{ $undo }}" class="inline">@csrf<button class="as-link">Undo</button></form>
        @endif
    </div>
@endif
