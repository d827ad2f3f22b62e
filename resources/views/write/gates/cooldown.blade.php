every <input name="gates[cooldown][channel]" value="{{ request('gates.cooldown.channel', $setting->channel) }}" class="blank short" inputmode="numeric" aria-label="Seconds between two runs, for the whole channel">&nbsp;s, each person once every <input name="gates[cooldown][person]" value="{{ request('gates.cooldown.person', $setting->person) }}" class="blank short" inputmode="numeric" aria-label="Seconds between two runs, for the same person">&nbsp;s
<button type="button" class="as-link small" data-reveals @if ($setting->passes !== null || $setting->levels->numbers !== [] || request('gates.cooldown.passes')) hidden @endif>by level</button><span class="some" @unless ($setting->passes !== null || $setting->levels->numbers !== [] || request('gates.cooldown.passes')) hidden @endunless>,
    but for
    @foreach (array_slice(SilverParrot\Chat\Level::cases(), 1) as $level)
        <label class="several">{{ $level->plural() }}&nbsp;<input name="gates[cooldown][levels][{{ $level->word() }}]" value="{{ request('gates.cooldown.levels.'.$level->word(), $setting->levels->write()[$level->word()] ?? '') }}" class="blank short" inputmode="numeric" placeholder="same" aria-label="Seconds between two runs, for the same of the {{ $level->plural() }}"></label>
    @endforeach
    &nbsp;s; it holds back
    <select name="gates[cooldown][passes]" class="blank" aria-label="Whom no cooldown holds back">
        <option value="">everybody</option>
        @foreach (array_slice(SilverParrot\Chat\Level::cases(), 1) as $level)
            <option value="{{ $level->word() }}" @selected(request('gates.cooldown.passes', $setting->passes?->word()) === $level->word())>nobody from {{ $level->plural() }} up</option>
        @endforeach
    </select></span>.
