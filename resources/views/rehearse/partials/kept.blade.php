{{-- Answers where it was pressed. --}}
@if ($isFull)<span class="problem-text small" role="status">{{ $owner->trigger }} has as many expected replies as there may be: remove one first.</span>@else<span class="small kept" role="status">✓ expected of {{ $owner->trigger }}</span>@endif
@if ($row !== null)@include('rehearse.partials.expectations', ['isAnswer' => true])@endif
