<select name="gates[stream]" class="blank" aria-label="While the stream is live or offline">
    <option value="">live or offline</option>
    @foreach (SilverParrot\Hearing\Gates\StreamState::cases() as $state)
        <option value="{{ $state->value }}" @selected($setting->state === $state)>only while {{ $state->value }}</option>
    @endforeach
</select>,
