@php
    $of = $row->result;
    $share = round(100 * $of['share'], 1);
    $held = array_sum((array) $of['closed']);
    $times = fn (int $count) => match ($count) { 1 => 'Once', 2 => 'Twice', default => number_format($count).' times' };
@endphp
<p>{{ number_format($of['lines']) }} lines by people, {{ number_format($of['said']) }} by the parrot: <b>{{ $share }}&nbsp;% of the chat</b>. {{ $held > 0 ? $times($held).' it was held back by a gate' : 'No gate held it back' }}{{ $of['failed'] > 0 ? ', '.lcfirst($times($of['failed'])).' it failed' : '' }}. {{ match (true) {
    $of['sayings_a_minute']['most'] === 0 => 'It never spoke.',
    default => "In a minute in which it spoke it usually said {$of['sayings_a_minute']['middle']}, and at most {$of['sayings_a_minute']['most']}.",
} }} @if ($of['outbox']['dropped'] > 0)<span class="problem-text">The chat would not have taken {{ $of['outbox']['dropped'] }} of its sayings in time.</span>@elseif ($of['outbox']['waited'] > 0){{ $of['outbox']['waited'] }} of its sayings would have waited, {{ round($of['outbox']['longest_wait'] / 1000) }} s at most.@endif</p>
