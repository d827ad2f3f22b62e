<p class="line-field"><label for="field-type">Holds</label><select id="field-type" name="type" data-shows-type>@foreach (['text' => 'a text', 'number' => 'a number', 'yes_no' => 'yes or no', 'moment' => 'a moment', 'points' => 'points'] as $type => $label)<option value="{{ $type }}" @selected($value('type') === $type)>{{ $label }}</option>@endforeach</select></p>
<p class="line-field"><label for="field-start">Begins with (empty: nothing)</label><input dir="auto" id="field-start" name="start" value="{{ $value('start') }}" maxlength="500" @error('start') aria-invalid="true" aria-describedby="start-problem" autofocus @enderror></p>
@error('start')<p class="problem" id="start-problem">{{ $message }}</p>@enderror
<div data-for-type="points">
<p class="line-field"><label for="field-one">What one is called</label><input dir="auto" id="field-one" name="one" value="{{ $value('one') }}" maxlength="60" placeholder="pebble"></p>
<p class="line-field"><label for="field-many">And many</label><input dir="auto" id="field-many" name="many" value="{{ $value('many') }}" maxlength="60" placeholder="pebbles"></p>
<p class="line-field"><label for="field-least">The least that one viewer gives another</label><input id="field-least" name="least_gift" value="{{ $value('least_gift') === '' ? 1 : $value('least_gift') }}" inputmode="numeric" maxlength="16" @error('least_gift') aria-invalid="true" aria-describedby="least_gift-problem" @enderror></p>
@error('least_gift')<p class="problem" id="least_gift-problem">{{ $message }}</p>@enderror
<p><label><input type="checkbox" name="ranks_streamer" value="1" @checked($value('ranks_streamer'))> The streamer earns them too, and stands in rankings</label></p>
</div>
<x-more :is-open="$stable !== null">
<div data-for-type="text">
<p class="line-field"><label for="field-longest">Longest text, in characters</label><input id="field-longest" name="longest" value="{{ $value('longest') === '' ? 500 : $value('longest') }}" inputmode="numeric" maxlength="3" @error('longest') aria-invalid="true" aria-describedby="longest-problem" @enderror></p>
@error('longest')<p class="problem" id="longest-problem">{{ $message }}</p>@enderror
</div>
<div data-for-type="number">
<p class="line-field"><label for="field-least-number">Least number (empty: no limit)</label><input id="field-least-number" name="least" value="{{ $value('least') }}" inputmode="numeric" maxlength="16" @error('least') aria-invalid="true" aria-describedby="least-problem" @enderror></p>
@error('least')<p class="problem" id="least-problem">{{ $message }}</p>@enderror
<p class="line-field"><label for="field-most-number">Greatest number (empty: no limit)</label><input id="field-most-number" name="most" value="{{ $value('most') }}" inputmode="numeric" maxlength="16" @error('most') aria-invalid="true" aria-describedby="most-problem" @enderror></p>
@error('most')<p class="problem" id="most-problem">{{ $message }}</p>@enderror
</div>
@include('remember.partials.changed-by')
</x-more>
