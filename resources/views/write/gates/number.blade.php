Only when the service says at least <input name="gates[number][least]" value="{{ request('gates.number.least', $setting->of === null ? '' : $setting->least) }}" class="blank short" inputmode="numeric" placeholder="7" aria-label="At least">
<select name="gates[number][of]" class="blank" aria-label="Which number of theirs">
    @foreach (SilverParrot\Hearing\Gates\NumberOfPerson::cases() as $one)
        <option value="{{ $one->value }}" @selected(request('gates.number.of', $setting->of?->value ?? 'followed_days') === $one->value)>{{ $one->label() }}</option>
    @endforeach
</select>
