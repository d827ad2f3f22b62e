<p class="line-field"><label for="fact-text">Text</label><textarea id="fact-text" name="text" rows="2" maxlength="2000" dir="auto" @error('text') aria-invalid="true" aria-describedby="text-problem" autofocus @enderror>{{ $value('text') }}</textarea></p>
@error('text')<p class="problem" id="text-problem">{{ $message }}</p>@enderror
<p><label><input type="checkbox" name="is_response" value="1" @checked($value('is_response'))> Fill in slots when it is said</label></p>
