@php
    $items = old('name') === null
        ? $state['sample'] ?? implode("\n", array_map(fn (array $item) => $item['text'].($item['weight'] === 1 ? '' : "\t".$item['weight']), $state['items'] ?? []))
        : old('items');
@endphp
<p class="line-field"><label for="list-order">How items are drawn</label><select id="list-order" name="draw_order">
    @foreach (SilverParrot\Pack\DrawOrder::cases() as $order)<option value="{{ $order->value }}" @selected($value('draw_order') === $order->value)>{{ __('orders.'.$order->value) }}</option>@endforeach</select></p>
<p class="line-field"><label for="list-items">Items, one a line; a weight may follow after a tab</label><textarea id="list-items" name="items" rows="6" dir="auto" spellcheck="true" @error('items') aria-invalid="true" aria-describedby="items-problem" autofocus @enderror>{{ $items }}</textarea></p>
@error('items')<p class="problem" id="items-problem">{{ $message }}</p>@enderror
<x-more :is-open="$stable !== null">
<p><label><input type="checkbox" name="each_viewer" value="1" @checked($value('each_viewer'))> Each viewer has a place of their own in it</label></p>
<p><label><input type="checkbox" name="responses" value="1" @checked($value('responses'))> Fill in slots of its items when they are said</label></p>
<p><label><input type="checkbox" name="from_chat" value="1" @checked($value('from_chat'))> Commands may add items to it from chat</label></p>
</x-more>
