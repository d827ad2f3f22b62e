<p class="line-field"><label for="counter-scope">One number for</label><select id="counter-scope" name="scope" data-shows-type>@foreach (['channel' => 'the channel', 'category' => 'each category', 'viewer' => 'each viewer'] as $scope => $label)<option value="{{ $scope }}" @selected($value('scope') === $scope)>{{ $label }}</option>@endforeach</select></p>
<p class="line-field"><label for="counter-start">Starts at</label><input id="counter-start" name="start" value="{{ $value('start') === '' ? 0 : $value('start') }}" inputmode="numeric" maxlength="16" @error('start') aria-invalid="true" aria-describedby="start-problem" autofocus @enderror></p>
@error('start')<p class="problem" id="start-problem">{{ $message }}</p>@enderror
<p class="line-field"><label for="counter-floor">Never below (empty: no limit)</label><input id="counter-floor" name="floor" value="{{ $stable === null && old('name') === null ? 0 : $value('floor') }}" inputmode="numeric" maxlength="16" @error('floor') aria-invalid="true" aria-describedby="floor-problem" autofocus @enderror></p>
@error('floor')<p class="problem" id="floor-problem">{{ $message }}</p>@enderror
<x-more :is-open="$stable !== null">
<p class="line-field"><label for="counter-ceiling">Never above (empty: no limit)</label><input id="counter-ceiling" name="ceiling" value="{{ $value('ceiling') }}" inputmode="numeric" maxlength="16" @error('ceiling') aria-invalid="true" aria-describedby="ceiling-problem" autofocus @enderror></p>
@error('ceiling')<p class="problem" id="ceiling-problem">{{ $message }}</p>@enderror
<p class="line-field"><label for="counter-reset">Starts anew</label><select id="counter-reset" name="reset">@foreach (['never' => 'never', 'stream' => 'with each stream', 'day' => 'each day'] as $reset => $label)<option value="{{ $reset }}" @selected($value('reset') === $reset)>{{ $label }}</option>@endforeach</select></p>
<p class="line-field"><label for="counter-guard">Count the same once within so many seconds (0: count all)</label><input id="counter-guard" name="guard_seconds" value="{{ $value('guard_seconds') === '' ? 0 : $value('guard_seconds') }}" inputmode="numeric" maxlength="4" @error('guard_seconds') aria-invalid="true" aria-describedby="guard_seconds-problem" autofocus @enderror></p>
@error('guard_seconds')<p class="problem" id="guard_seconds-problem">{{ $message }}</p>@enderror
<p><label><input type="checkbox" name="guard_by_another" value="1" @checked($value('guard_by_another'))> Only where it is another person</label></p>
@include('remember.partials.changed-by')
</x-more>
