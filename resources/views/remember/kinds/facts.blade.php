<p class="line-field"><label for="fact-text">Text</label><textarea id="fact-text" name="text" rows="2" maxlength="2000" dir="auto">{{ $value('text') }}</textarea></p>
@error('text')<p class="problem">{{ $message }}</p>@enderror
