@php
    $items = old('name') === null
        ? implode("\n", array_map(fn (array $item) => $item['text'].($item['weight'] === 1 ? '' : "\t".$item['weight']), $state['items'] ?? []))
        : old('items');
@endphp
<p class="line-field"><label for="list-order">How items are drawn</label><select id="list-order" name="draw_order">
    @foreach (['free' => 'freely, each time anew', 'no_repeat' => 'never the same twice running', 'shuffled' => 'shuffled: all once, then shuffled anew', 'in_turn' => 'in turn', 'one_a_day' => 'one a day for each person'] as $order => $label)<option value="{{ $order }}" @selected($value('draw_order') === $order)>{{ $label }}</option>@endforeach</select></p>
<p><label><input type="checkbox" name="each_viewer" value="1" @checked($value('each_viewer'))> Each viewer has a place of their own in it</label></p>
<p><label><input type="checkbox" name="responses" value="1" @checked($value('responses'))> Fill in slots of its items when they are said</label></p>
<p class="line-field"><label for="list-items">Items, one a line; a weight may follow after a tab</label><textarea id="list-items" name="items" rows="6" dir="auto" spellcheck="true" @error('items') aria-invalid="true" aria-describedby="items-problem" autofocus @enderror>{{ $items }}</textarea></p>
@error('items')<p class="problem" id="items-problem">{{ $message }}</p>@enderror
