{{-- What an evening came to, in numbers. --}}
@php
    $of = $row->result;
    $words = fn (array $counts) => implode(', ', array_map(fn ($name, $count) => strtr((string) $name, '-', ' ')." $count", array_keys($counts), $counts));
    $seconds = fn (int $millis) => $millis < 120_000 ? round($millis / 1000).' s' : round($millis / 60_000).' min';
    $commands = collect($of['commands'])->sortByDesc('asked')->values();
@endphp
<div class="figures">
    @isset ($of['ranges'])
        <section><h2>{{ $row->options['seeds'] }} evenings</h2>
            <table><thead><tr><th>Figure</th><th>Least</th><th>Middle</th><th>Most</th></tr></thead><tbody>
                @foreach ($of['ranges'] as $name => $range)<tr><td>{{ str_replace('_', ' ', $name) }}</td><td>{{ $range['least'] }}</td><td>{{ $range['middle'] }}</td><td>{{ $range['most'] }}</td></tr>@endforeach</tbody></table></section>
    @endisset
    <section><h2>What was asked for</h2>
        <div class="scrolls" tabindex="0" role="group" aria-label="What was asked for"><table><thead><tr><th>What</th><th>Asked</th><th>Answered</th><th>Held back, or failed</th><th>Longest wait for an answer</th></tr></thead><tbody>
            @foreach ($commands as $lane)<tr><td>{{ $lane['kind'] === 'phrase' ? "“{$lane['name']}” ({$lane['command']})" : $lane['name'] }}{{ $lane['kind'] === 'timer' ? ' (timer)' : '' }}</td><td>{{ $lane['asked'] }}</td><td>{{ $lane['answered'] }}</td><td>{{ $words((array) $lane['closed'] + (array) $lane['failed']) }}</td><td>{{ $lane['longest_silence'] > 0 ? $seconds($lane['longest_silence']) : '' }}</td></tr>@endforeach</tbody></table></div></section>
    @if ($phrases = $commands->where('kind', 'phrase')->all())
        <section><h2>Phrases, and the lines that set them off</h2><p class="small">Those that look least meant for the parrot stand first.</p><ul class="ruled">@foreach ($phrases as $lane)<li>“{{ $lane['name'] }}”, {{ $lane['asked'] === 1 ? 'once' : "{$lane['asked']} times" }}: @foreach ($lane['lines'] as $line)<span class="quoted" dir="auto">{{ $line }}</span>{{ $loop->last ? '' : ' · ' }}@endforeach</li>@endforeach</ul></section>
    @endif
    @if ($of['draws'])
        <section><h2>Draws</h2><ul class="ruled">@foreach ($of['draws'] as $list)<li>{{ $list['name'] ?? $list['list'] }}, {{ $list['total'] === 1 ? 'drawn once' : "drawn {$list['total']} times" }}{{ $list['chance'] === null ? ': too few, or in an order of their own, to tell from luck' : ($list['chance'] < 0.001 ? '; luck alone comes so far from what was to be expected less than once in a thousand times' : '; luck alone comes so far in '.round(100 * $list['chance']).' of 100 evenings') }}
            <details><summary>items</summary>@foreach ($list['items'] as $item)<div class="small" dir="auto">{{ $item['came'] }} of {{ $item['expected'] }} expected: {{ Str::limit($item['text'], 80) }}</div>@endforeach</details></li>@endforeach</ul></section>
    @endif
    <section><h2>Replies</h2><p>{{ $of['replies']['cut'] }} were cut, {{ $of['replies']['nothing'] }} said nothing, {{ $of['replies']['same_as_before'] }} were the same as the one before, {{ $of['replies']['long'] }} take more than three lines on a phone.</p></section>
    @if ($of['memory'])
        <section><h2>What it would have changed</h2><div class="changes">@foreach (array_slice($of['memory'], 0, 40) as $change)<div class="small"><span dir="auto">{{ $change['what'] }}</span>: {{ $change['from'] === '' ? 'nothing' : $change['from'] }} → {{ $change['to'] === '' ? 'nothing' : $change['to'] }}</div>@endforeach</div>@if (count($of['memory']) > 40)<p class="small">and {{ number_format(count($of['memory']) - 40) }} more.</p>@endif
            @foreach ($of['gained'] as $field => $gained)<p class="small">{{ $field }}: @foreach ($gained as $who => $more)<span dir="auto">{{ $who }}</span> {{ $more > 0 ? "+$more" : $more }}{{ $loop->last ? '.' : ', ' }}@endforeach</p>@endforeach</section>
    @endif
</div>
