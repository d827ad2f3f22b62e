@foreach (['price' => 'Price in the first points (0: not for sale)', 'stock' => 'How many there are to be sold (empty: as many as are wanted)', 'buy_back' => 'What the channel gives for one (0: takes none back)'] as $field => $label)
<p class="line-field"><label for="goods-{{ $field }}">{{ $label }}</label><input id="goods-{{ $field }}" name="{{ $field }}" value="{{ $value($field) === '' && $field !== 'stock' ? 0 : $value($field) }}" inputmode="numeric" maxlength="16" @error($field) aria-invalid="true" aria-describedby="{{ $field }}-problem" autofocus @enderror></p>
@error($field)<p class="problem" id="{{ $field }}-problem">{{ $message }}</p>@enderror
@endforeach
