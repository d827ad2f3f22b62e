{{-- Where the chosen one is kept, and what the parameter comes from now. --}}
<p id="candidate-kept" aria-live="polite" @if ($problem === '') data-fills="{{ $parameter }}" data-from="{{ $from }}" @else class="problem" @endif>{{ $problem !== '' ? $problem : "$from holds $value, and $parameter comes from there. Save it." }}</p>
