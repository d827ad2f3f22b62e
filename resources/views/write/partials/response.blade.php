{{-- One of the texts from which is drawn. --}}
<div class="response" data-response>
    <input type="hidden" name="responses[{{ $index }}][id]" value="{{ $response->id }}">
    @unless ($response->isPlain())<input type="hidden" name="responses[{{ $index }}][steps]" value="{{ json_encode(array_map(fn ($step) => $step->write(), $response->steps), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES) }}">@endunless
    <textarea name="responses[{{ $index }}][text]" rows="3" maxlength="2000" aria-label="Response {{ $index + 1 }}" data-editor="responses/{{ $index }}/text" data-focus="{{ $index }}">{{ $response->text() }}</textarea>
    @unless ($response->isPlain())<p class="small">More is said after it; that stays as it is.</p>@endunless
    <p class="weight small" @if ($several === false) hidden @endif><label>weight <input type="number" name="responses[{{ $index }}][weight]" value="{{ ($weights ?? [])[$index] ?? $response->weight }}" min="1" max="1000" class="blank short" @if (isset($problems["responses.$index"])) aria-invalid="true" autofocus @endif></label> <span data-share>({{ $sum > 0 ? round($response->weight * 100 / $sum) : 0 }} %)</span>
        <button type="button" class="as-link" data-remove-response>remove</button></p>
    @foreach ($problems["responses.$index"] ?? [] as $problem)<p class="problem">{{ $problem }}</p>@endforeach
</div>
