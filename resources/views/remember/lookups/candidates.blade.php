{{-- Those that the first step finds, to go on with one of them. --}}
<div id="lookup-answer" class="candidates">
    @if ($finder !== null && $parameter !== null)
        <h3>Which one for {{ $parameter->name }}?</h3>
        <p class="find-candidates">lookup.{{ $finder->name }} finds it by @foreach ($arguments as $name => $value)<label>{{ $name }} <input dir="auto" name="other[{{ $name }}]" value="{{ $value }}" class="blank" size="14" maxlength="200"></label> @endforeach<button type="button" class="plain" hx-post="{{ route('remember.lookups.candidates', $channel) }}" hx-vals='{{ json_encode(['of' => $parameter->name]) }}' hx-include="#lookup-form, closest .find-candidates" hx-params="not _method" hx-target="#lookup-answer" hx-swap="outerHTML" hx-disabled-elt="this">Find</button></p>
    @endif
    @if ($problem !== '')<p class="problem">{{ $problem }}</p>@endif
    @if ($found !== [])
        <p class="small keep-candidate">Keep it <label><input type="radio" name="where" value="parameter" checked> in {{ $parameter->name }} itself</label>, <label><input type="radio" name="where" value="fact"> as fact.<input name="fact" value="{{ $parameter->name }}" class="blank" size="10" maxlength="60" aria-label="Name of the fact" spellcheck="false"></label>@if ($fields !== []), <label><input type="radio" name="where" value="field"> in the field <select name="field" class="blank" aria-label="Field">@foreach ($fields as $field)<option>{{ $field->name }}</option>@endforeach</select></label> <label>of <input dir="auto" name="login" class="blank" size="10" maxlength="60" placeholder="odo" aria-label="Whose field"></label>@endif.</p>
        <ul class="ruled">
            @foreach ($found as $one)
                <li><b dir="auto">{{ $one->value }}</b> @foreach ($one->tells as [$name, $told])@if ($name !== '')<span class="small">{{ $name }}</span> @endif<span dir="auto">{{ $told }}</span>{{ $loop->last ? '' : ', ' }}@endforeach
                    <span class="controls"><button type="button" class="as-link" data-use-candidate="{{ $parameter->name }}" data-value="{{ $one->value }}" hx-post="{{ route('remember.lookups.candidates.keep', $channel) }}" hx-trigger="keep" hx-vals='{{ json_encode(['of' => $parameter->name, 'value' => $one->value]) }}' hx-include=".keep-candidate, #lookup-form" hx-params="not _method" hx-target="#candidate-kept" hx-swap="outerHTML" aria-label="Use this one: {{ $one->value }}">Use this one</button></span></li>
            @endforeach
        </ul>
    @endif
    <p id="candidate-kept" aria-live="polite"></p>
    <div id="lookup-values"></div>
</div>
