{{-- What would have been better, each tried by hearing the evening again. --}}
@if (($row->result['advice'] ?? []) !== [])
    <section class="advice">
        <h2>Advice</h2>
        <ul class="ruled">
            @foreach ($row->result['advice'] as $one)
                <li><b dir="auto">{{ str_starts_with($one['lane'], 'phrase') ? "“{$one['name']}” ({$one['command']})" : $one['name'] }}</b> is {{ $one['share'] }}&nbsp;% of what the parrot said. At {{ $one['seconds'] < 120 ? "{$one['seconds']} s" : intdiv($one['seconds'], 60).' min' }} for everyone it would have answered {{ $one['after'] }} instead of {{ $one['before'] }} times{{ match (true) {
                    $one['waited'] === 0 => ', and nobody would have waited',
                    $one['waited'] === 1 => "; one person would have waited, at most {$one['longest']} s",
                    default => "; {$one['waited']} people would have waited, at most {$one['longest']} s",
                } }}. The parrot would have said {{ number_format($one['said_after']) }} instead of {{ number_format($one['said_before']) }} things.</li>
            @endforeach
        </ul>
    </section>
@endif
