<p class="line-field"><label for="fact-text">Text</label><textarea id="fact-text" name="text" rows="2" maxlength="2000" dir="auto" @error('text') aria-invalid="true" aria-describedby="text-problem" autofocus @enderror>{{ $value('text') }}</textarea></p>
@error('text')<p class="problem" id="text-problem">{{ $message }}</p>@enderror
<x-more :is-open="$stable !== null">
<p><label><input type="checkbox" name="is_response" value="1" @checked($value('is_response'))> Fill in slots when it is said</label></p>
<p class="line-field"><label for="fact-parts">Extra parts of an address, one a line: a name and what is added</label><textarea id="fact-parts" name="parts" rows="2" maxlength="6000" spellcheck="false" placeholder="chat from=chat" @error('parts') aria-invalid="true" aria-describedby="parts-problem" @enderror>{{ $value('parts') }}</textarea></p>
@error('parts')<p class="problem" id="parts-problem">{{ $message }}</p>@enderror
</x-more>
