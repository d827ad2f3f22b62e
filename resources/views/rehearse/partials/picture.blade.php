{{-- An evening in one picture: what was written above, a lane for all that had something to do below. --}}
@php
    use App\Rehearse\Evenings\EveningPicture;
    use SilverParrot\Figures\MarkKind;
    $to = fn (array $at) => route('rehearse.evening', ['channel' => $channel, 'rehearsal' => $row] + $at);
    $get = fn (array $at) => route('rehearse.evening.picture', ['channel' => $channel, 'rehearsal' => $row] + $at);
    // One address for thousands of marks.
    $moment = Str::beforeLast(route('rehearse.evening.moment', ['channel' => $channel, 'rehearsal' => $row, 'mark' => 1]), '1');
    $gates = array_map(strval(...), array_keys(is_array($row->result['closed'] ?? null) ? $row->result['closed'] : []));
    $lanesKnown = is_array($row->result['lanes'] ?? null) ? $row->result['lanes'] : [];
@endphp
<div id="evening" class="evening" data-evening>
    <form class="evening-bar small" method="get" action="{{ $to([]) }}" hx-get="{{ $get([]) }}" hx-target="#evening" hx-swap="outerHTML" hx-trigger="change, submit">
        <input type="hidden" name="from" value="{{ $view->from }}"><input type="hidden" name="to" value="{{ $view->to }}">
        <span class="zoom" role="group" aria-label="Zoom">
            @foreach (['nearer' => ['closer', $view->nearer(), '+'], 'farther' => ['farther', $view->farther(), '−'], 'earlier' => ['earlier', $view->moved(-0.5), '‹'], 'later' => ['later', $view->moved(0.5), '›'], 'whole' => ['all', $view->whole(), '⤢']] as $key => [$label, $at, $sign])<a class="plain" data-zoom="{{ $key }}" href="{{ $to($at) }}" hx-get="{{ $get($at) }}" hx-target="#evening" hx-swap="outerHTML"><span aria-hidden="true">{{ $sign }}</span> {{ $label }}</a> @endforeach
        </span>
        <label>of <input dir="auto" name="person" value="{{ $view->person }}" class="blank" size="10" maxlength="60" placeholder="everybody"></label>
        <label>what <select name="lane" class="blank"><option value="">everything</option>@foreach ($lanesKnown as $number => $lane)<option value="{{ $number }}" @selected($view->lane === (string) $number)>{{ Str::limit($lane['name'], 30) }}</option>@endforeach</select></label>
        <label>that was <select name="kind" class="blank"><option value="">anything</option>@foreach (MarkKind::cases() as $kind)<option value="{{ $kind->value }}" @selected($view->reason() === $kind->value)>{{ $kind->label() }}</option>@if ($kind === MarkKind::HeldBack) @foreach ($gates as $gate)<option value="{{ $view::reasonOf($kind, $gate) }}" @selected($view->reason() === $view::reasonOf($kind, $gate))>held back by {{ $gate }}</option>@endforeach @endif @endforeach</select></label>
        <noscript><button class="plain">Show</button></noscript>
    </form>
    <div class="evening-and-why">
        <div class="scrolls" tabindex="0" role="group" aria-label="The evening. Arrow keys lead from moment to moment, + and − zoom.">
            <svg class="evening-picture" viewBox="0 0 {{ EveningPicture::WIDTH + 4 }} {{ $drawing->height }}" role="group" aria-label="The evening from {{ $drawing->ticks[0]['label'] ?? '' }} to {{ $drawing->ticks[count($drawing->ticks) - 1]['label'] ?? '' }}">
                @foreach ($drawing->ticks as $tick)<line x1="{{ $tick['x'] }}" x2="{{ $tick['x'] }}" y1="{{ EveningPicture::CHAT }}" y2="{{ $drawing->height - 4 }}" class="grid"></line><text x="{{ $tick['x'] }}" y="{{ EveningPicture::CHAT + 16 }}" text-anchor="{{ $tick['x'] > EveningPicture::WIDTH - 30 ? 'end' : 'middle' }}">{{ $tick['label'] }}</text>@endforeach
                <text x="{{ EveningPicture::LEFT - 10 }}" y="14" text-anchor="end">the chat</text><text x="{{ EveningPicture::LEFT - 10 }}" y="30" text-anchor="end" class="faint">dark: the parrot</text>
                @foreach ($drawing->columns as $column)<g><title>{{ $column['label'] }}</title><rect x="{{ $column['x'] }}" y="{{ EveningPicture::CHAT - $column['lines'] - $column['said'] }}" width="{{ $column['width'] }}" height="{{ $column['lines'] }}" class="people"></rect>@if ($column['said'] > 0)<rect x="{{ $column['x'] }}" y="{{ EveningPicture::CHAT - $column['said'] }}" width="{{ $column['width'] }}" height="{{ $column['said'] }}" class="parrot"></rect>@endif</g>@endforeach
                @foreach ($drawing->lanes as $lane)
                    <g class="lane is-{{ $lane['kind'] }}" transform="translate(0 {{ $lane['y'] }})">
                        <text x="{{ EveningPicture::LEFT - 10 }}" y="5" text-anchor="end">{{ $lane['kind'] === 'phrase' ? '“'.Str::limit($lane['name'], 20).'”' : Str::limit($lane['name'], 22) }}</text>
                        <line x1="{{ EveningPicture::LEFT }}" x2="{{ EveningPicture::WIDTH }}" y1="0" y2="0" class="ruling"></line>
                        @foreach ($lane['cooldowns'] as $bar)<rect x="{{ $bar['x'] }}" y="-3" width="{{ $bar['width'] }}" height="6" class="cooldown"></rect>@endforeach
                        @foreach ($lane['marks'] as $mark)
                            <g class="mark is-{{ $mark['kind'] }}" tabindex="-1" role="button" aria-label="{{ $lane['name'] }}, {{ $mark['label'] }}" data-mark="{{ $mark['x'] }}" hx-get="{{ $moment.$mark['id'] }}" hx-target="#moment" hx-swap="innerHTML"><title>{{ $mark['label'] }}</title>
                                @php($r = min(8, 3 + log($mark['count'], 2)))
                                @if ($mark['kind'] === 'said')<circle cx="{{ $mark['x'] }}" cy="0" r="{{ round($r, 1) }}"></circle>
                                @elseif ($mark['kind'] === 'held_back')<rect x="{{ $mark['x'] - round($r * 0.5, 1) }}" y="{{ -round($r + 1, 1) }}" width="{{ round($r, 1) }}" height="{{ round(2 * $r + 2, 1) }}"></rect>
                                @elseif ($mark['kind'] === 'failed')<path d="M{{ $mark['x'] - 4 }} -4 l8 8 m0 -8 l-8 8"></path>
                                @elseif ($mark['kind'] === 'happened')<path d="M{{ $mark['x'] }} -6 l6 6 l-6 6 l-6 -6 z"></path>
                                @else<circle cx="{{ $mark['x'] }}" cy="0" r="3"></circle>@endif
                            </g>
                        @endforeach
                    </g>
                @endforeach
                @foreach ($drawing->numbers as $number)<g class="number"><title>{{ $number['label'] }}</title><text x="{{ EveningPicture::LEFT - 10 }}" y="{{ $number['y'] + 20 }}" text-anchor="end">{{ Str::limit($number['name'], 24) }}</text>@if ($number['limit'] !== null)<line x1="{{ EveningPicture::LEFT }}" x2="{{ EveningPicture::WIDTH }}" y1="{{ $number['limit'] }}" y2="{{ $number['limit'] }}" class="limit"></line>@endif<polyline points="{{ $number['points'] }}"></polyline></g>@endforeach
            </svg>
        </div>
        <aside id="moment" class="moment" aria-live="polite"><p class="small">Choose a moment: what was written, what came of it, and why.</p></aside>
    </div>
    <p class="small legend"><svg width="14" height="14" aria-hidden="true"><circle cx="7" cy="7" r="4" class="said"></circle></svg> said <svg width="14" height="14" aria-hidden="true"><rect x="5" y="2" width="4" height="10" class="held"></rect></svg> held back by a gate <svg width="14" height="14" aria-hidden="true"><path d="M3 3 l8 8 m0 -8 l-8 8" class="failed"></path></svg> failed <svg width="14" height="14" aria-hidden="true"><path d="M7 1 l6 6 l-6 6 l-6 -6 z" class="happened"></path></svg> happened <svg width="20" height="14" aria-hidden="true"><rect x="1" y="4" width="18" height="6" class="cooldown"></rect></svg> cooldown of the channel{{ $drawing->left > 0 ? ". {$drawing->left} more had little to do, and stand in the table." : '' }}</p>
    <details class="small"><summary>The same as a table</summary>
        <div class="scrolls" tabindex="0" role="group" aria-label="Moments"><table class="moments"><thead><tr><th>Time</th><th>What</th><th>Who</th><th>Line</th><th>What came of it</th></tr></thead>
            <tbody>@foreach ($rows as $one)<tr><td>{{ $clock->at($one->millis) }}</td><td>{{ $lanesKnown[$one->lane]['name'] ?? '' }}</td><td dir="auto">{{ $one->person }}</td><td dir="auto">{{ $one->text }}</td><td dir="auto">{{ $one->kind->label() }}{{ $one->said !== '' ? ': '.$one->said : '' }}{{ $one->why !== '' ? ': '.$one->why : '' }}</td></tr>@endforeach</tbody></table></div>
        @if (count($rows) >= 50)<p>The first 50 of what is looked at: zoom to see others.</p>@endif
    </details>
</div>
