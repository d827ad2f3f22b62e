Only when it is from <input type="datetime-local" name="gates[dates][from]" value="{{ request('gates.dates.from', $setting->from === '' ? '' : substr($setting->from.'T00:00', 0, 16)) }}" class="blank" aria-label="From when">
until <input type="datetime-local" name="gates[dates][until]" value="{{ request('gates.dates.until', $setting->until === '' ? '' : substr($setting->until.'T23:59', 0, 16)) }}" class="blank" aria-label="Until when">
<button type="button" class="as-link" data-fill="gates[dates][until]" data-fill-with="{{ $tonight }}">tonight only</button>
