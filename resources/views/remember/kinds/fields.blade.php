<p class="line-field"><label for="field-type">Holds</label><select id="field-type" name="type">@foreach (['text' => 'a text', 'number' => 'a number', 'yes_no' => 'yes or no', 'moment' => 'a moment', 'points' => 'points'] as $type => $label)<option value="{{ $type }}" @selected($value('type') === $type)>{{ $label }}</option>@endforeach</select></p>
<p class="line-field"><label for="field-start">Begins with (empty: nothing)</label><input dir="auto" id="field-start" name="start" value="{{ $value('start') }}" maxlength="500" @error('start') aria-invalid="true" aria-describedby="start-problem" autofocus @enderror></p>
@error('start')<p class="problem" id="start-problem">{{ $message }}</p>@enderror
<p class="small">For points alone:</p>
<p class="line-field"><label for="field-one">What one is called</label><input dir="auto" id="field-one" name="one" value="{{ $value('one') }}" maxlength="60" placeholder="pebble"></p>
<p class="line-field"><label for="field-many">And many</label><input dir="auto" id="field-many" name="many" value="{{ $value('many') }}" maxlength="60" placeholder="pebbles"></p>
<p class="line-field"><label for="field-least">The least that one viewer gives another</label><input id="field-least" name="least_gift" value="{{ $value('least_gift') === '' ? 1 : $value('least_gift') }}" inputmode="numeric" maxlength="16" @error('least_gift') aria-invalid="true" aria-describedby="least_gift-problem" @enderror></p>
@error('least_gift')<p class="problem" id="least_gift-problem">{{ $message }}</p>@enderror
<p><label><input type="checkbox" name="ranks_streamer" value="1" @checked($value('ranks_streamer'))> The streamer earns them too, and stands in rankings</label></p>
