@php
    $all = $holdings ?? [];
    $broken = count(array_filter($all, fn ($one) => ! $one->holds()));
    $whole = count($all);
@endphp
<section id="expectations" class="expectations" aria-labelledby="expectations-title" @if ($isAnswer ?? false) hx-swap-oob="true" @endif>
    <h2 id="expectations-title" @class(['visually-hidden' => $all === []])>Expected replies</h2>
    @if ($all !== [])
        <p class="small" role="status">{{ match (true) {
            $broken === 0 => match ($whole) { 1 => 'It still matches.', 2 => 'Both still match.', default => "All $whole still match." },
            $whole === 1 => 'It no longer matches.',
            default => "$broken of $whole no longer ".($broken === 1 ? 'matches.' : 'match.'),
        } }}</p>
        <ul class="ruled">
            @foreach ($all as $id => $one)
                <li @class(['holding', 'is-broken' => ! $one->holds()])>
                    <span class="sign" aria-hidden="true">{{ $one->holds() ? '✓' : '✗' }}</span><span class="visually-hidden">{{ $one->holds() ? 'matches:' : 'does not match:' }}</span>
                    <b>{{ $one->by }}</b> {{ $one->expectation->line }}
                    <form method="post" class="inline controls" hx-delete="{{ route('rehearse.unexpect', [$channel, $row, $id]) }}" hx-target="#expectations" hx-swap="outerHTML">@csrf<button class="as-link" aria-label="Remove this expected reply">Remove</button></form>
                    @if ($one->holds())
                        <div class="saying">{{ $one->expectation->says === [] ? '(no reply)' : implode(' / ', $one->expectation->says) }}</div>
                    @else
                        <div class="two-texts"><div><span class="small">expected</span><div class="saying">{{ $one->expectation->says === [] ? '(no reply)' : implode(' / ', $one->expectation->says) }}</div></div>
                            <div><span class="small">now</span><div class="saying">{{ $one->saysNow === [] ? '(no reply)' : implode(' / ', $one->saysNow) }}</div>@if ($one->because !== null)<span class="because">@told($one->because)</span>@endif</div></div>
                    @endif
                </li>
            @endforeach
        </ul>
    @endif
</section>
