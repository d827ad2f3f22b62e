{{-- One of the texts from which is drawn. --}}
<div class="response" data-response>
    <textarea name="responses[{{ $index }}][text]" rows="3" maxlength="2000" aria-label="Response {{ $index + 1 }}" data-editor="responses/{{ $index }}/text" data-focus="{{ $index }}">{{ $response->text }}</textarea>
    <p class="weight small" @if ($several === false) hidden @endif><label>drawn <input type="number" name="responses[{{ $index }}][weight]" value="{{ $response->weight }}" min="1" max="1000" class="blank short"> of <span data-weights>{{ $sum }}</span> times</label>
        <button type="button" class="as-link" data-remove-response>remove</button></p>
    @foreach ($problems["responses.$index"] ?? [] as $problem)<p class="problem">{{ $problem }}</p>@endforeach
</div>
