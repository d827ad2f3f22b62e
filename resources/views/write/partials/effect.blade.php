{{-- One change from the chat: who, what, what it was and is, and what came of it. --}}
@php
    $one = $effect->after ?? $effect->before;
    $name = $one['trigger'] ?? $one['name'] ?? $one['mark'] ?? '';
    $who = ($effect->viewer->name ?? '') ?: ($effect->viewer->login ?? 'Somebody');
    $flat = static fn (?array $document): array => SilverParrot\Format\Differences::flat($document ?? []);
    $fields = SilverParrot\Format\Differences::fields($flat($effect->before), $flat($effect->after));
    if ($effect->before === null || $effect->after === null) {
        // Of what is new or gone, what it says is what somebody knows it by.
        $fields = array_filter($fields, static fn (string $field): bool => str_ends_with($field, 'text') || str_ends_with($field, 'say'), ARRAY_FILTER_USE_KEY);
    }
    // A mark is called by where it is, which stands there already.
    unset($fields['mark']);
    $row = $effect->kind === 'command' ? $commands[$effect->subject] ?? null : null;
    $key = 'deeds.'.str_replace(' ', '-', $effect->deed);
@endphp
<b dir="auto">{{ $who }}</b> @if ($one === null) wanted to {{ __($key.'.label') }} @else {{ __($key.'.did') }} @if ($row)<a href="{{ route('write.command', [$channel, $row]) }}">{{ $name }}</a>@elseif ($name !== '')<b>{{ $name }}</b>@endif @endif
<span class="small">{{ $effect->asked_at->setTimezone($channel->zone)->format('j M, H:i') }}</span>
@if (in_array($effect->state->value, ['refused', 'unknown'], true))<span class="small">{{ $effect->state->value === 'refused' ? 'not done: ' : '' }}{{ $reason($effect) }}</span>@endif
@if ($effect->state->value === 'declined')<span class="small">declined</span>@endif
@foreach (array_slice($fields, 0, 8) as $field => [$was, $is])
    <p class="small">{{ str_ends_with($field, 'text') ? 'It says' : $field }}: @if ($was !== '')<del dir="auto">{{ $was }}</del> @endif @if ($is !== '')<ins dir="auto">{{ $is }}</ins>@endif</p>
@endforeach
@if ($effect->draft_differs)<p class="small">On the air only: the draft had changed it already, and stays as it is.@if ($row) <a href="{{ route('write.command', [$channel, $row]) }}">Look at the draft</a>@endif</p>@endif
