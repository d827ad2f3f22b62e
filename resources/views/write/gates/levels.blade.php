@php
    use SilverParrot\Chat\Level;
    $who = $setting->rule->atLeast?->word() ?? ($setting->rule->anyOf === [] ? 'everyone' : 'any_of');
@endphp
<select name="gates[levels][who]" class="blank" aria-label="Who may use it" data-shows>
    @foreach (Level::cases() as $level)
        <option value="{{ $level->word() }}" @selected($who === $level->word())>{{ $level === Level::Everyone ? 'everyone' : ($level === Level::Streamer ? 'the streamer' : $level->plural().' and up') }}</option>
    @endforeach
    <option value="any_of" @selected($who === 'any_of')>only some levels</option>
</select><span class="some" data-shown-for="any_of" @if ($who !== 'any_of') hidden @endif>:
    @foreach (array_slice(Level::cases(), 1) as $level)
        <label><input type="checkbox" name="gates[levels][any_of][]" value="{{ $level->word() }}" @checked(in_array($level, $setting->rule->anyOf, true))> {{ $level->plural() }}</label>
    @endforeach
</span> may use it,
