@php($kind = $told['kind'])
@php($asides = ['dropped' => 'not said, the chat takes no more:', 'notice' => 'the chat says:', 'whispered' => 'whispers:', 'said-alone' => 'whispers:'])
{{-- One line of the real chat; the same shape is filled in by the page as lines come. --}}
<li @class(['line', 'is-said' => str_starts_with($kind, 'said'), 'is-aside' => isset($asides[$kind])]) data-number="{{ $told['number'] }}">
    <a class="said-by" @if (in_array($kind, ['heard', 'whispered'], true)) href="{{ route('publish.chat', ['channel' => $channel, 'line' => $told['number']]) }}" data-air-why="{{ route('publish.why', [$channel, $told['number']]) }}" @endif @if ($isChosen) aria-current="true" @endif>
        <time data-part="time">{{ $told['time'] }}</time>
        <b data-part="name" dir="auto">{{ $told['name'] }}</b>
        <span class="badge-word" data-part="level" @if ($told['level'] === '') hidden @endif>{{ $told['level'] }}</span>
        <span class="kind small" data-part="kind" @unless (isset($asides[$kind])) hidden @endunless>{{ $asides[$kind] ?? '' }}</span>
        <span @class(['text', 'saying' => str_starts_with($kind, 'said')]) data-part="text" dir="auto">{{ $told['text'] }}</span>
    </a>
    <div class="silence" data-part="outcome" @if ($told['outcome'] === '') hidden @endif>{{ $told['outcome'] }}</div>
</li>
