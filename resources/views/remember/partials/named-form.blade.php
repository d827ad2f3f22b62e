{{-- Something with a name, to be made or changed. --}}
@php($value = fn (string $field) => old('name') === null ? ($state[$field] ?? '') : old($field))
<form method="post" action="{{ $stable === null ? route('remember.named.store', [$channel, $kind->key()]) : route('remember.named.update', [$channel, $kind->key(), $stable]) }}" class="named-form" autocomplete="off" data-named>
    @csrf
    @if ($stable !== null) @method('put') @endif
    <p class="line-field"><label for="name-{{ $kind->key() }}">Name, used as [{{ $kind->prefix() }}.…]</label>
        <input id="name-{{ $kind->key() }}" name="name" value="{{ $value('name') }}" required maxlength="60" spellcheck="false" @if ($errors->hasAny('name', 'name_folded')) aria-invalid="true" aria-describedby="name-problem" @endif @if ($errors->isEmpty() || $errors->hasAny('name', 'name_folded')) autofocus @endif></p>
    @foreach (['name', 'name_folded'] as $field)@error($field)<p class="problem" id="name-problem">{{ $message }}</p>@enderror @endforeach
    @include('remember.kinds.'.$kind->key())
    <p class="problem" data-named-problem hidden></p>
    <p><button class="strong">{{ $stable === null ? 'Make it' : 'Save' }}</button> <a class="plain" href="{{ route($kind->page(), $channel) }}" data-named-cancel>Cancel</a></p>
</form>
