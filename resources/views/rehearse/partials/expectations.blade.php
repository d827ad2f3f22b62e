<section id="expectations" class="expectations" aria-labelledby="expectations-title">
    @if (($holdings ?? []) !== [] || ($keptWith ?? '') !== '')
        @php($broken = count(array_filter($holdings, fn ($one) => ! $one->holds())))
        <h2 id="expectations-title">Held to be right</h2>
        <p class="small" role="status">
            @if ($keptWith !== '')Kept with {{ $keptWith }}. @endif
            {{ match (true) {
                $broken === 0 => count($holdings) === 1 ? 'It still holds.' : 'All '.count($holdings).' still hold.',
                count($holdings) === 1 => 'It no longer holds.',
                default => $broken.' of '.count($holdings).' no longer '.($broken === 1 ? 'holds.' : 'hold.'),
            } }}</p>
        <ul class="ruled">
            @foreach ($holdings as $id => $one)
                <li @class(['holding', 'is-broken' => ! $one->holds()])>
                    <span class="sign" aria-hidden="true">{{ $one->holds() ? '✓' : '✗' }}</span><span class="visually-hidden">{{ $one->holds() ? 'holds:' : 'does not hold:' }}</span>
                    <b>{{ $one->by }}</b> {{ $one->expectation->line }}
                    <form method="post" class="inline controls" hx-delete="{{ route('rehearse.unexpect', [$channel, $row, $id]) }}" hx-target="#expectations" hx-swap="outerHTML">@csrf<button class="as-link" aria-label="drop this expectation">drop</button></form>
                    @if ($one->holds())
                        <div class="saying">{{ implode(' / ', $one->expectation->says) }}</div>
                    @else
                        <div class="two-texts"><div><span class="small">was right</span><div class="saying">{{ implode(' / ', $one->expectation->says) }}</div></div>
                            <div><span class="small">is said now</span><div class="saying">{{ $one->saysNow === [] ? '–' : implode(' / ', $one->saysNow) }}</div>@if ($one->because !== null)<span class="because">@told($one->because)</span>@endif</div></div>
                    @endif
                </li>
            @endforeach
        </ul>
    @else
        <h2 id="expectations-title" class="visually-hidden">Held to be right</h2>
    @endif
</section>
