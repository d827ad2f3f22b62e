Only when <select name="gates[category][how]" class="blank" aria-label="In the categories or not">
    <option value="only">the category is</option>
    <option value="except" @selected(request('gates.category.how', $setting->isExcept ? 'except' : 'only') === 'except')>the category is not</option>
</select>
<input name="gates[category][names]" value="{{ request('gates.category.names', implode(', ', $setting->names)) }}" class="blank" size="28" maxlength="2000" list="categories" placeholder="one, or several with commas" aria-label="Categories, with commas between" dir="auto">
<datalist id="categories">@foreach ($categories as $one)<option value="{{ $one }}"></option>@endforeach</datalist>
