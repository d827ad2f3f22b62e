@php
    use SilverParrot\Chat\Level;
    $who = $setting->rule->atLeast?->word() ?? match (true) {
        $setting->rule->anyOf !== [] => 'any_of',
        $setting->persons !== [] => 'persons',
        default => 'everyone',
    };
    $who = request('gates.levels.who', $who);
@endphp
<select name="gates[levels][who]" class="blank" aria-label="Who may use it" data-shows>
    @foreach (Level::cases() as $level)
        <option value="{{ $level->word() }}" @selected($who === $level->word())>{{ $level === Level::Everyone ? 'everyone' : ($level === Level::Streamer ? 'the streamer' : $level->plural().' and up') }}</option>
    @endforeach
    <option value="any_of" @selected($who === 'any_of')>only some levels</option>
    <option value="persons" @selected($who === 'persons')>only some people</option>
</select><span class="some" data-shown-for="any_of" @if ($who !== 'any_of') hidden @endif>:
    @foreach (array_slice(Level::cases(), 1) as $level)
        <label><input type="checkbox" name="gates[levels][any_of][]" value="{{ $level->word() }}" @checked(in_array($level, $setting->rule->anyOf, true))> {{ $level->plural() }}</label>
    @endforeach
</span><span class="some" data-shown-for="{{ implode(' ', array_slice(Level::words(), 1)) }} any_of persons" @if ($who === 'everyone') hidden @endif>, by name: <input name="gates[levels][persons]" value="{{ request('gates.levels.persons', implode(' ', $setting->persons)) }}" class="blank" size="14" maxlength="4000" placeholder="nobody else" aria-label="People who may use it besides, by their names" spellcheck="false"></span> <span class="small" data-shown-for="{{ implode(' ', array_diff(array_slice(Level::words(), 1), ['streamer'])) }} any_of persons" @if (in_array($who, ['everyone', 'streamer'], true)) hidden @endif>(and the streamer)</span> may use it,
