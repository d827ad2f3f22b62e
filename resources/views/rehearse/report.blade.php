{{-- The report of a rehearsal as a page that stands by itself and prints: of one evening, of several, or of scripts. --}}
@php
    $counts = fn (array $of) => implode(', ', array_map(fn ($name, $count) => strtr((string) $name, '-', ' ')." $count", array_keys($of), $of));
    $expectations = $report['expectations'] ?? [];
    $unmet = array_filter($expectations, fn ($one) => ! $one['holds']);
@endphp
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $title ?? 'A rehearsal' }} · Silver Parrot</title>
    <style nonce="{{ Illuminate\Support\Facades\Vite::cspNonce() }}">
        body { font: 11pt/1.45 Georgia, serif; max-width: 50rem; margin: 2rem auto; color: #26303a; }
        table { border-collapse: collapse; width: 100%; font-size: 9.5pt; }
        th, td { text-align: start; padding: .15rem .6rem .15rem 0; border-bottom: 1px solid #d9d2c0; vertical-align: top; overflow-wrap: anywhere; }
        h2 { font-size: 12pt; margin: 1.4rem 0 .4rem; break-after: avoid; }
        tr { break-inside: avoid; }
        .unmet { color: #a02c17; }
    </style>
</head>
<body>
    <h1>{{ $title ?? 'A rehearsal' }}</h1>
    @isset ($report['runs'])
        <p>{{ count($report['runs']) }} evenings.</p>
    @else
        <p>{{ number_format($report['lines']) }} lines by people, {{ number_format($report['said']) }} by the parrot: {{ round(100 * $report['share'], 1) }}&nbsp;% of the chat. Held back by a gate: {{ $counts((array) $report['closed']) ?: 'never' }}. Failed: {{ $report['failed'] }}.</p>
        <p>In a minute in which it spoke it usually said {{ $report['sayings_a_minute']['middle'] }}, and at most {{ $report['sayings_a_minute']['most'] }}. Its outbox let {{ $report['outbox']['waited'] }} wait and dropped {{ $report['outbox']['dropped'] }}. {{ $report['replies']['cut'] }} replies were cut, {{ $report['replies']['same_as_before'] }} were the same as the one before.</p>
    @endisset
    @if ($expectations !== [])
        <h2>What was expected</h2>
        <p>{{ count($expectations) - count($unmet) }} of {{ count($expectations) }} hold.</p>
        <table><tbody>@foreach ($expectations as $one)<tr><td>{{ $one['holds'] ? '✓' : '✗' }}</td><td dir="auto">{{ $one['script'] }}</td><td>{{ $one['at'] === null ? 'all of it' : '+'.intdiv($one['at'], 1000).'s' }}</td><td>{{ strtr($one['expects'], '_', ' ') }}</td><td @class(['unmet' => ! $one['holds']]) dir="auto">{{ $one['because'] ?? '' }} {{ implode(' / ', $one['said']) }}</td></tr>@endforeach</tbody></table>
    @endif
    @isset ($report['ranges'])
        <h2>Ranges</h2>
        <table><thead><tr><th>Figure</th><th>Least</th><th>Middle</th><th>Most</th></tr></thead><tbody>@foreach ($report['ranges'] as $name => $range)<tr><td>{{ $name }}</td><td>{{ $range['least'] }}</td><td>{{ $range['middle'] }}</td><td>{{ $range['most'] }}</td></tr>@endforeach</tbody></table>
    @endisset
    @isset ($report['commands'])
        <h2>What was asked for</h2>
        <table><thead><tr><th>What</th><th>Asked</th><th>Answered</th><th>Held back, or failed</th></tr></thead><tbody>@foreach ($report['commands'] as $lane)<tr><td dir="auto">{{ $lane['name'] }}</td><td>{{ $lane['asked'] }}</td><td>{{ $lane['answered'] }}</td><td>{{ $counts((array) $lane['closed'] + (array) $lane['failed']) }}</td></tr>@endforeach</tbody></table>
    @endisset
    @if (($report['draws'] ?? []) !== [])
        <h2>Draws</h2>
        <table><thead><tr><th>List</th><th>Item</th><th>Came</th><th>Expected</th></tr></thead><tbody>@foreach ($report['draws'] as $list)@foreach ($list['items'] as $item)<tr><td>{{ $loop->first ? $list['list'] : '' }}</td><td dir="auto">{{ Str::limit($item['text'], 80) }}</td><td>{{ $item['came'] }}</td><td>{{ $item['expected'] }}</td></tr>@endforeach @endforeach</tbody></table>
    @endif
    @if (($report['memory'] ?? []) !== [])
        <h2>What it would have changed</h2>
        <table><tbody>@foreach ($report['memory'] as $change)<tr><td dir="auto">{{ $change['what'] }}</td><td>{{ $change['from'] === '' ? 'nothing' : $change['from'] }} → {{ $change['to'] === '' ? 'nothing' : $change['to'] }}</td></tr>@endforeach</tbody></table>
    @endif
</body>
</html>
