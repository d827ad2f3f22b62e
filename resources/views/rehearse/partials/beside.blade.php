{{-- Another evening beside this one: what is otherwise stands first. --}}
@if ($others->isNotEmpty())
    <form method="get" action="{{ route('rehearse.evening', [$channel, $row]) }}" class="small" id="beside">
        <label>Beside <select name="beside" class="blank">@foreach ($others as $one)<option value="{{ $one->id }}" @selected($beside?->other->id === $one->id)>{{ $one->title }}, {{ $one->created_at->setTimezone($channel->zone)->format('j M H:i') }}, {{ ($one->options['edition'] ?? false) ? 'the edition' : 'the draft' }}</option>@endforeach</select></label> <button class="plain small">Compare</button>
    </form>
@endif
@if ($beside !== null)
    <div class="scrolls" tabindex="0" role="group" aria-label="Two rehearsals beside each other"><table class="moments"><thead><tr><th>What</th><th>This one</th><th>The other</th></tr></thead>
        <tbody>@foreach ($beside->rows as $one)<tr><td dir="auto">{{ $one['name'] }}</td><td>@if ($one['this'] !== $one['other'])<b>{{ $one['this'] }}</b>@else{{ $one['this'] }}@endif</td><td>{{ $one['other'] }}</td></tr>@endforeach</tbody></table></div>
@endif
