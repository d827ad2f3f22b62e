{{-- One line of the real chat; the same shape is filled in by the page as lines come. --}}
<li @class(['line', 'is-said' => $told['kind'] === 'said', 'is-aside' => in_array($told['kind'], ['notice', 'dropped'], true)]) data-number="{{ $told['number'] }}">
    <a class="said-by" @if ($told['kind'] === 'heard') href="{{ route('publish.chat', ['channel' => $channel, 'line' => $told['number']]) }}" data-air-why="{{ route('publish.why', [$channel, $told['number']]) }}" @endif @if ($isChosen) aria-current="true" @endif>
        <time data-part="time">{{ $told['time'] }}</time>
        <b data-part="name" dir="auto">{{ $told['name'] }}</b>
        <span class="badge-word" data-part="level" @if ($told['level'] === '') hidden @endif>{{ $told['level'] }}</span>
        <span class="kind small" data-part="kind" @if (in_array($told['kind'], ['heard', 'said'], true)) hidden @endif>{{ $told['kind'] === 'dropped' ? 'not said, the chat takes no more:' : 'the chat says:' }}</span>
        <span @class(['text', 'saying' => $told['kind'] === 'said']) data-part="text" dir="auto">{{ $told['text'] }}</span>
    </a>
    <div class="silence" data-part="outcome" @if ($told['outcome'] === '') hidden @endif>{{ $told['outcome'] }}</div>
</li>
