Only when it is from <input type="time" name="gates[hours][from]" value="{{ request('gates.hours.from', $setting->from) }}" class="blank" aria-label="From what time">
to <input type="time" name="gates[hours][to]" value="{{ request('gates.hours.to', $setting->to) }}" class="blank" aria-label="To what time">, on
@foreach (['mon' => 'Mon', 'tue' => 'Tue', 'wed' => 'Wed', 'thu' => 'Thu', 'fri' => 'Fri', 'sat' => 'Sat', 'sun' => 'Sun'] as $day => $label)
    <label><input type="checkbox" name="gates[hours][days][]" value="{{ $day }}" @checked(in_array($day, (array) request('gates.hours.days', $setting->days), true))> {{ $label }}</label>
@endforeach
<span class="small">none ticked: every day</span>
