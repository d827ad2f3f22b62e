It may be typed <select name="gates[typed_in]" class="blank" aria-label="Where it may be typed">
    @foreach (['whisper' => 'only as a whisper to the parrot', 'either' => 'in the chat or as a whisper'] as $where => $label)
        <option value="{{ $where }}" @selected(request('gates.typed_in', $setting->where->value) === $where)>{{ $label }}</option>
    @endforeach
</select>
