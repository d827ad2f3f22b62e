{{-- The form of one timer. --}}
@php
    $isTyped = old('timer') === $number;
    $value = fn (string $field, mixed $kept): mixed => $isTyped ? old($field) : $kept;
@endphp
<form method="post" action="{{ $action }}" class="timer-form" autocomplete="off">
    @csrf @if ($method !== 'post') @method($method) @endif
    <input type="hidden" name="timer" value="{{ $number }}">@if ($number !== 'new')<input type="hidden" name="seen" value="{{ $seen }}">@endif
    <p>The timer <input dir="auto" name="name" value="{{ $value('name', $timer->name) }}" class="blank" size="14" maxlength="60" aria-label="Its name" placeholder="links"> speaks every <input name="minutes" value="{{ $value('minutes', $timer->minutes) }}" class="blank short" inputmode="numeric" aria-label="Minutes between two sayings" hx-get="{{ route('write.timers.picture', $channel) }}" hx-trigger="input changed delay:150ms" hx-include="closest form" hx-target="#two-hours" hx-swap="outerHTML" hx-sync="this:replace">&nbsp;minutes, after <input name="lines" value="{{ $value('lines', $timer->lines) }}" class="blank short" inputmode="numeric" aria-label="Lines by people between">&nbsp;lines by people <select name="within" class="blank" aria-label="Which lines count"><option value="0">since it last spoke</option>@foreach (array_unique([5, 10, 15, 30, 60, (int) $value('within', $timer->within)]) as $minutes) @if ($minutes > 0)<option value="{{ $minutes }}" @selected((int) $value('within', $timer->within) === $minutes)>in the last {{ $minutes }} minutes</option>@endif @endforeach</select>,
        <select name="offline_too" class="blank" aria-label="While the stream is live or always"><option value="0">while the stream is live</option><option value="1" @selected((string) $value('offline_too', $timer->whileLive ? '0' : '1') === '1')>live or offline</option></select>:</p>
    @if ($form->isElsewhere)<p class="small">What it says has weights or conditions of its own, and stays as it is unless you write something here.</p>@endif
    <p class="line-field"><label for="messages-{{ $number }}">Messages, one a line</label><textarea dir="auto" id="messages-{{ $number }}" name="messages" rows="{{ max(2, substr_count($form->messages, "\n") + 1) }}" maxlength="40000" placeholder="Charts: https://charts.lantern-cove.example">{{ $value('messages', $form->messages) }}</textarea></p>
    <p><label>Said <select name="order" class="blank">@foreach (App\Write\TimerRequest::ORDERS as $order)<option value="{{ $order->value }}" @selected($value('order', $timer->order->value) === $order->value)>{{ __('orders.'.$order->value) }}</option>@endforeach</select></label>;
        or it runs <input name="run" value="{{ $value('run', $form->run === '' ? '' : $triggers[$form->run] ?? $form->run) }}" class="blank" size="10" maxlength="60" placeholder="no command" aria-label="The command that it runs instead" spellcheck="false">.
        <label><input type="checkbox" name="is_on" value="1" @checked($isTyped ? old('is_on') === '1' : $timer->isOn)> switched on</label></p>
    @if ($isTyped) @foreach ($errors->all() as $problem)<p class="problem">{{ $problem }}</p>@endforeach @endif
    <p><button class="{{ $number === 'new' ? 'strong' : 'plain' }}">Save</button></p>
</form>
