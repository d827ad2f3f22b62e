{{-- Somebody in the cast, to be added or changed. --}}
@php
    use SilverParrot\Chat\Level;
    use SilverParrot\Pack\FieldType;

    $held = old('login') === null ? array_map(fn (Level $level) => $level->word(), $person->levels ?? []) : (array) old('levels', []);
    $record = old('login') === null ? ($person->record ?? []) : (array) old('record', []);
    $fields = $channel->fields()->orderBy('id')->get();
@endphp
<form method="post" action="{{ $person === null ? route('rehearse.cast.store', $channel) : route('rehearse.cast.update', [$channel, $person]) }}" class="person-form" data-keeps-chat autocomplete="off">
    @csrf
    @if ($person !== null) @method('put') @endif
    <x-line-field name="login" label="Login" :value="$person?->login" required maxlength="60" autofocus spellcheck="false" />
    <x-line-field name="name" label="Name shown in chat" :value="$person?->name" maxlength="60" />
    <fieldset class="choices"><legend>Levels</legend>
        @foreach (Level::cases() as $level)
            @continue($level === Level::Everyone)
            <label><input type="checkbox" name="levels[]" value="{{ $level->word() }}" @checked(in_array($level->word(), $held, true))> {{ $level->label() }}</label>
        @endforeach
        <label>tier <select name="tier" class="blank">@foreach ([1, 2, 3] as $tier)<option @selected((int) old('tier', $person->tier ?? 1) === $tier)>{{ $tier }}</option>@endforeach</select></label>
    </fieldset>
    @error('levels.*')<p class="problem">{{ $message }}</p>@enderror
    <x-line-field name="link" label="Their link" :value="$person?->details['link'] ?? ''" type="url" maxlength="500" />
    <x-line-field name="category" label="What they streamed last" :value="$person?->details['category'] ?? ''" maxlength="100" />
    <x-line-field name="followed" label="Follows since" :value="substr($person?->details['followed'] ?? '', 0, 10)" type="date" />
    @foreach ($fields as $field)
        <p class="line-field"><label for="record-{{ $field->id }}">{{ $field->name }}</label>
            @if ($field->type === FieldType::YesNo)
                <select id="record-{{ $field->id }}" name="record[{{ $field->name }}]">@foreach (['' => 'nothing', 'yes' => 'yes', 'no' => 'no'] as $value => $label)<option value="{{ $value }}" @selected(($record[$field->name] ?? '') === $value)>{{ $label }}</option>@endforeach</select>
            @else
                <input dir="auto" id="record-{{ $field->id }}" name="record[{{ $field->name }}]" value="{{ $record[$field->name] ?? '' }}" type="{{ $field->type === FieldType::Moment ? 'date' : 'text' }}" @if ($field->type->isNumber()) inputmode="numeric" @endif maxlength="500">
            @endif</p>
    @endforeach
    <x-line-field name="habits" label="Who this is, in your words" :value="$person?->habits" maxlength="300" />
    <p><button class="strong">{{ $person === null ? 'Add' : 'Save' }}</button> <a class="plain" href="{{ route('rehearse', $channel) }}">Cancel</a></p>
</form>
