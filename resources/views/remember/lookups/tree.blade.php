{{-- One place of an answer, with what is inside. --}}
<li>
    @if ($node->inside === [])
        <span class="small">{{ $node->label }}</span> @if ($node->value !== null)<button type="button" class="as-link found-value" data-path="{{ $node->path }}" data-kind="{{ $node->kind }}" data-label="{{ $node->label }}" title="{{ $node->path }}" dir="auto">{{ $node->value === '' ? 'nothing' : $node->value }}</button>@endif
    @else
        <details @if ($depth < 3) open @endif><summary><span class="small">{{ $node->label === '' ? 'the answer' : $node->label }}</span>@if ($node->value !== null) <button type="button" class="as-link found-value" data-path="{{ $node->path }}" data-kind="{{ $node->kind }}" data-label="{{ $node->label }}" title="{{ $node->path }}" dir="auto">{{ $node->value }}</button>@endif</summary>
            <ul>@foreach ($node->inside as $one)@include('remember.lookups.tree', ['node' => $one, 'depth' => $depth + 1])@endforeach</ul></details>
    @endif
</li>
