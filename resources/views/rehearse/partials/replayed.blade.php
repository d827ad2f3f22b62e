{{-- What only a log tells: what could not be read, who else talks by itself, and what the parrot does not answer. --}}
@php($log = $row->result['replay'])
<section class="replayed">
    @if ($log['unread'] > 0)<p>{{ $log['unread'] === 1 ? 'One line' : number_format($log['unread']).' lines' }} could not be read.</p><ul class="small unread">@foreach ($log['shown'] as [$number, $text])<li class="problem-text" dir="auto">line {{ number_format($number) }}: {{ Str::limit($text, 80) }}</li>@endforeach</ul>@endif
    @if ($log['backwards'] > 0)<p class="small">{{ $log['backwards'] === 1 ? 'One line was' : number_format($log['backwards']).' lines were' }} earlier than the one before, and set to its moment.</p>@endif
    @if (($log['beyond'] ?? 0) > 0)<p>{{ $log['beyond'] === 1 ? 'One line was' : number_format($log['beyond']).' lines were' }} written more than {{ intdiv(SilverParrot\Rehearsal\Replay\LogReader::LONGEST, 86_400_000) }} days after the first, and left out.</p>@endif
    @foreach ($log['talkers'] as $talker)
        <p><b dir="auto">{{ $talker['name'] }}</b> talks by itself: {{ $talker['answers'] }} of its {{ $talker['lines'] }} lines answer a command at once. {{ $talker['both'] > 0 ? ($talker['both'] === 1 ? 'One command' : "{$talker['both']} commands").' would have had two answers.' : '' }} {{ ($talker['loops'] ?? 0) > 0 ? ($talker['loops'] === 1 ? 'One line of its own' : "{$talker['loops']} lines of its own").' would have been answered by the parrot, which it may answer again.' : '' }}
            @if ($talker['known'])<span class="small">The parrot does not listen to it.</span>@elseif (auth()->user()->can('write', $channel) && ! ($row->options['replay']['nameless'] ?? false))<form method="post" action="{{ route('rehearse.talker', $channel) }}" class="inline">@csrf<input type="hidden" name="login" value="{{ $talker['login'] }}"><button class="plain small">Do not listen to it</button></form>@endif</p>
    @endforeach
    @if ($log['questions'] !== [])
        <h2>Questions that the parrot does not answer</h2>
        <ul class="ruled">@foreach ($log['questions'] as $group)<li><b>{{ $group['count'] }} times</b>: @foreach (array_unique($group['lines']) as $line)<span class="quoted" dir="auto">{{ $line }}</span>{{ $loop->last ? '' : ' · ' }}@endforeach
            <div class="small">The phrase <code dir="auto">{{ $group['phrase'] }}</code> would answer them{{ match ($group['others']) { 0 => ', and nothing else', 1 => ', and about one other line of '.number_format($group['tried']), default => ', and about '.number_format($group['others']).' other lines of '.number_format($group['tried']) } }}. </div>
            @if (($group['by'] ?? '') !== '')<div class="small"><span dir="auto">{{ $group['by'] }}</span> answered: <code dir="auto">{{ $group['reply'] }}</code></div>@endif
            @can('write', $channel)<a class="small" href="{{ route('write.new', ['channel' => $channel, 'phrase' => $group['phrase'], 'reply' => $group['reply'] ?? '']) }}">{{ ($group['by'] ?? '') === '' ? 'Write a reply' : 'Make it a reply' }}</a>@endcan</li>@endforeach</ul>
    @endif
</section>
