Only when they pay <input name="gates[cost][points]" value="{{ request('gates.cost.points', $setting->write() === null ? '' : $setting->points) }}" class="blank short" inputmode="numeric" placeholder="50" aria-label="What it costs">
<select name="gates[cost][unit]" class="blank" aria-label="In which points">
    @foreach ($names['points'] as $index => $name)<option value="{{ $index === 0 ? '' : $name }}" @selected(mb_strtolower(request('gates.cost.unit', $setting->unit)) === mb_strtolower($name))>{{ $name }}</option>@endforeach
    @if ($names['points'] === [])<option value="">points</option>@endif
</select>;
@include('write.partials.by-level', ['name' => 'gates[cost][levels]', 'numbers' => $setting->levels, 'unit' => '', 'label' => 'other prices by level'])
