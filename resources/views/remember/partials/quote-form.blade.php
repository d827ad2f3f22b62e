{{-- A quote, to be kept or changed. --}}
@php
    $isTyped = request('edit') === ($isNew ? 'new' : (string) $quote->number) && old('text') !== null;
    $was = ['text' => $quote->text, 'by' => $quote->by, 'link' => $quote->link, 'category' => $quote->category, 'date' => $quote->date?->in($zone)->format('Y-m-d') ?? ($isNew ? now($zone)->format('Y-m-d') : '')];
    $id = fn (string $field) => 'quote-'.($isNew ? 'new' : $quote->number)."-$field";
    $value = fn (string $field) => $isTyped ? old($field) : $was[$field];
    $isWrong = fn (string $field) => request('edit') === ($isNew ? 'new' : (string) $quote->number) && $errors->has($field);
@endphp
<form method="post" action="{{ $isNew ? route('remember.quotes.store', $channel) : route('remember.quotes.update', [$channel, $quote->number]) }}" class="named-form" autocomplete="off">@csrf
    @unless ($isNew) @method('put') @endunless
    @foreach (['text' => 'What was said', 'by' => 'By', 'link' => 'Address of whom it credits', 'category' => 'Category', 'date' => 'Date'] as $field => $label)
        <p class="line-field"><label for="{{ $id($field) }}">{{ $label }}</label>
            @if ($field === 'text')<textarea id="{{ $id($field) }}" name="text" rows="2" maxlength="500" dir="auto" required @if ($isWrong($field) || ! $isNew || $isMaking) autofocus @endif @if ($isWrong($field)) aria-invalid="true" aria-describedby="{{ $id($field) }}-problem" @endif>{{ $value('text') }}</textarea>
            @else<input id="{{ $id($field) }}" name="{{ $field }}" type="{{ $field === 'date' ? 'date' : 'text' }}" value="{{ $value($field) }}" maxlength="{{ $field === 'link' ? 500 : 100 }}" dir="auto" @if ($isWrong($field)) aria-invalid="true" aria-describedby="{{ $id($field) }}-problem" @endif>@endif
        </p>
        @if ($isWrong($field))<p class="problem" id="{{ $id($field) }}-problem">{{ $errors->first($field) }}</p>@endif
    @endforeach
    <p><button class="strong">{{ $isNew ? 'Keep' : 'Save' }}</button> @unless ($isNew)<a class="plain" href="{{ route('remember.quotes', $channel) }}">Cancel</a>@endunless</p>
</form>
