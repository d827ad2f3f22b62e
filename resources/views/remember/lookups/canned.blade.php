@inject('sentences', App\Wording\Sentences::class)
{{-- What it is rehearsed with, one answer a line, beside each other. --}}
@php
    use SilverParrot\Lookup\Trouble;
    $mayWrite = auth()->user()->can('write', $channel);
    $readings = array_slice(array_values($lookup->readings), 0, 4);
    $send = 'hx-include="#lookup-form" hx-params="not _method" hx-target="#lookup-canned" hx-swap="outerHTML" hx-disabled-elt="this"';
    $how = $row?->rehearsed_trouble?->value ?? (($row->rehearsed_slow ?? 0) > 0 ? 'slow' : '');
@endphp
<div id="lookup-canned" @if ($isOob ?? false) hx-swap-oob="true" @endif>
    @if ($lines !== [] || $row !== null)
        <h3>Canned results</h3>
        @if ($row !== null && $mayWrite)
            <p class="small" hx-post="{{ route('remember.lookups.rehearse', [$channel, $row->stable_id]) }}" hx-trigger="change" hx-include="#lookup-form, this" hx-params="not _method" hx-target="#lookup-canned" hx-swap="outerHTML">In rehearsals the source <select name="how" class="blank" aria-label="In rehearsals the source"><option value="">answers as recorded</option><option value="slow" @selected($how === 'slow')>answers so, but slowly</option>@foreach (Trouble::onDemand() as $trouble)<option value="{{ $trouble->value }}" @selected($how === $trouble->value)>{{ __("troubles.{$trouble->value}") }}</option>@endforeach</select>@if ($how === 'slow'), after <input name="slow" value="{{ $row->rehearsed_slow }}" class="blank short" inputmode="numeric" maxlength="2" aria-label="Seconds that it takes">&nbsp;s @endif.@if ($how !== '') <span class="problem-text">Whoever asks on the air gets what the source really says.</span>@endif</p>
        @endif
        @if ($lines !== [])
            <div class="scrolls"><table class="canned-results">
                <thead><tr><th scope="col">For</th>@foreach ($readings as $reading)<th scope="col" dir="auto">{{ $reading->name }}</th>@endforeach</tr></thead>
                <tbody>
                    @foreach ($lines as $line)
                        @php($canned = $line->recorded->canned)
                        @php($called = trim($line->for().' '.($line->recorded->isReal() ? '' : "“{$canned->name}”")))
                        <tr @class(['is-used' => $line->isUsed])><th scope="row"><span dir="auto">{{ $line->for() === '' ? 'whatever is asked' : $line->for() }}</span>@unless ($line->recorded->isReal()) <b dir="auto">“{{ $canned->name }}”</b>@endunless
                            <div class="small">@if ($canned->answer instanceof Trouble){{ __("troubles.{$canned->answer->value}") }}@elseif ($line->recorded->isReal())said {{ now('UTC')->getTimestampMs() - $canned->answer->at->millis < 5_000 ? 'just now' : Illuminate\Support\Carbon::createFromTimestampMs($canned->answer->at->millis)->diffForHumans() }}@else as you wrote it @endif{{ $line->isUsed && $row !== null ? ', in use' : '' }}</div>
                            <div class="small">@if ($mayWrite && ! $canned->answer instanceof Trouble)<button type="button" class="as-link" hx-post="{{ route('remember.lookups.see', $channel) }}" hx-vals='{"id": {{ $line->recorded->id }}}' hx-include="#lookup-form" hx-params="not _method" hx-target="#lookup-answer" hx-swap="outerHTML" aria-label="see {{ $called }}">see</button>@endif
                                @if ($row !== null && $mayWrite)<button type="button" class="as-link" hx-post="{{ route('remember.lookups.see', $channel) }}" hx-vals='{"id": {{ $line->recorded->id }}, "edit": 1}' hx-include="#lookup-form" hx-params="not _method" hx-target="#lookup-answer" hx-swap="outerHTML" aria-label="{{ $line->recorded->isReal() ? 'edit a copy' : 'edit' }}: {{ $called }}">{{ $line->recorded->isReal() ? 'edit a copy' : 'edit' }}</button>
                                    @unless ($line->isUsed)<button type="button" class="as-link" hx-post="{{ route('remember.lookups.choose', [$channel, $row->stable_id]) }}" hx-vals='{"id": {{ $line->recorded->id }}}' {!! $send !!} aria-label="use {{ $called }}">use this</button>@endunless
                                    <button type="button" class="as-link" hx-post="{{ route('remember.lookups.drop', [$channel, $row->stable_id]) }}" hx-vals='{"id": {{ $line->recorded->id }}}' {!! $send !!} aria-label="throw away {{ $called }}">throw away</button>@endif</div></th>
                            @foreach (array_slice($line->values, 0, 4) as $one)<td dir="auto">@if ($one->value !== null){{ $one->value }}@elseif ($one->problem !== '')<span class="problem-text">?</span>@elseif ($one->gap !== null)<span class="silence" title="{{ $sentences->of($one->gap->message()) }}">none</span>@endif</td>@endforeach</tr>
                    @endforeach
                </tbody>
            </table></div>
        @endif
        @if ($mayWrite && $lookup->parameters !== [])
            <p class="small ask-other">Also ask for @foreach ($lookup->parameters as $one)@unless ($one->isLanguage || $one->isSecret)<label>{{ $one->name }} <input dir="auto" name="other[{{ $one->name }}]" class="blank" size="10" maxlength="200"></label> @endunless @endforeach<button type="button" class="plain" hx-post="{{ route('remember.lookups.ask', $channel) }}" hx-include="#lookup-form, closest .ask-other" hx-params="not _method" hx-target="#lookup-answer" hx-swap="outerHTML" hx-disabled-elt="this">Ask</button></p>
        @endif
    @endif
</div>
