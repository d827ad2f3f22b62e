@php
    $typed = request('gates.held');
    $rows = is_array($typed) ? $typed : array_map(static fn ($one) => ['kind' => $one->kind->value, 'name' => $one->name, 'amount' => $one->is !== '' ? $one->is : ($one->least ?? '')], $setting->things);
    $rows = [...array_values(array_filter($rows, is_array(...))), ['kind' => 'field', 'name' => '', 'amount' => '']];
@endphp
Only when they have
@foreach ($rows as $index => $one)
    <span class="several">@if ($index > 0) and @endif
    <select name="gates[held][{{ $index }}][kind]" class="blank" aria-label="What kind of thing they have" data-shows-names>
        @foreach (['field' => 'in the field', 'rank' => 'the rank', 'goods' => 'the goods'] as $kind => $label)<option value="{{ $kind }}" @selected(($one['kind'] ?? '') === $kind)>{{ $label }}</option>@endforeach
    </select>
    <input name="gates[held][{{ $index }}][name]" value="{{ $one['name'] ?? '' }}" class="blank" size="12" maxlength="60" list="names-{{ $one['kind'] ?? 'field' }}" placeholder="{{ $index > 0 ? 'nothing else' : 'its name' }}" aria-label="Its name">
    <input name="gates[held][{{ $index }}][amount]" value="{{ $one['amount'] ?? '' }}" class="blank" size="10" maxlength="500" placeholder="any" aria-label="How many at least, or what it says"></span>
@endforeach
@foreach ($names as $kind => $all)<datalist id="names-{{ $kind }}">@foreach ($all as $name)<option value="{{ $name }}"></option>@endforeach</datalist>@endforeach
