Only when <select name="gates[needs]" class="blank" aria-label="What must be typed after the trigger">
    @foreach (['words' => 'something is typed after the trigger', 'target' => 'somebody is named', 'known' => 'somebody known is named', 'here' => 'somebody who is here is named'] as $need => $label)
        <option value="{{ $need }}" @selected(request('gates.needs', $setting->need?->value) === $need)>{{ $label }}</option>
    @endforeach
</select>
