{{-- One of the texts from which is drawn. --}}
@php
    $own = new App\Write\ResponseConditions($response);
    $typed = (array) request("responses.$index", []);
@endphp
<div class="response" data-response>
    <input type="hidden" name="responses[{{ $index }}][id]" value="{{ $response->id }}">
    @unless ($own->hasFields)<input type="hidden" name="responses[{{ $index }}][steps]" value="{{ json_encode(array_map(fn ($step) => $step->write(), $response->steps), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES) }}">@endunless
    <textarea name="responses[{{ $index }}][text]" rows="3" maxlength="2000" aria-label="Response {{ $index + 1 }}" data-editor="responses/{{ $index }}/text" data-focus="{{ $index }}">{{ $response->text() }}</textarea>
    @unless ($own->hasFields)<p class="small">More is done after it; that stays as it is.</p>@endunless
    <p class="weight small" @if ($several === false) hidden @endif><label>weight <input type="number" name="responses[{{ $index }}][weight]" value="{{ ($weights ?? [])[$index] ?? $response->weight }}" min="1" max="1000" class="blank short" @if (isset($problems["responses.$index"])) aria-invalid="true" autofocus @endif></label> <span data-share>({{ $sum > 0 ? round($response->weight * 100 / $sum) : 0 }} %)</span>
        <button type="button" class="as-link" data-remove-response>remove</button></p>
    <p class="only small" @if ($several === false && $own->isEmpty()) hidden @endif><button type="button" class="as-link" data-reveals @unless ($own->isEmpty()) hidden @endunless>only for some</button><span class="some" @if ($own->isEmpty()) hidden @endif>
        @if ($own->others !== '')<input type="hidden" name="responses[{{ $index }}][conditions]" value="{{ $own->others }}">It has conditions of its own that stay as they are;@endif
        for&nbsp;<select name="responses[{{ $index }}][level]" class="blank" aria-label="For whom this reply is" title="Whoever has a reply of their own gets no other"><option value="">everybody who may</option>@foreach (array_slice(SilverParrot\Chat\Level::cases(), 1) as $level)<option value="{{ $level->word() }}" @selected(($typed['level'] ?? $own->level) === $level->word())>{{ $level === SilverParrot\Chat\Level::Streamer ? 'the streamer' : $level->plural().' and up' }}</option>@endforeach</select>
        in&nbsp;<input dir="auto" name="responses[{{ $index }}][category]" value="{{ $typed['category'] ?? $own->category }}" class="blank" size="16" maxlength="2000" placeholder="every category" aria-label="Categories in which this reply is given, with commas between">;
        &nbsp;<label><input type="checkbox" name="responses[{{ $index }}][off]" value="1" @checked($own->isOff)> left out</label></span></p>
    @if ($own->hasFields)
        @include('write.partials.deed')
        @php($hasRun = $own->run !== null || ($typed['run'] ?? '') !== '')
        <p class="only small"><button type="button" class="as-link" data-reveals @if ($hasRun) hidden @endif>run another command</button><span class="some" @unless ($hasRun) hidden @endunless>then run <input name="responses[{{ $index }}][run]" value="{{ $typed['run'] ?? ($own->run === null ? '' : $runs[$own->run->command] ?? $own->run->command) }}" class="blank" size="10" maxlength="60" placeholder="no other command" aria-label="The command that is run after it" spellcheck="false"> with the words <input dir="auto" name="responses[{{ $index }}][words]" value="{{ $typed['words'] ?? $own->run?->words }}" class="blank" size="16" maxlength="2000" placeholder="none" aria-label="What is taken for typed after its trigger"></span></p>
    @endif
    @foreach ($problems["responses.$index"] ?? [] as $problem)<p class="problem">{{ $problem }}</p>@endforeach
</div>
