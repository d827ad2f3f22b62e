{{-- Why something was not done, in place of its button. --}}
<p class="problem" role="status">{{ $problem }}</p>
