{{-- What surrounds the simulated chat: when it takes place, what the channel is doing, luck. A press in the chat can change it too. --}}
@php
    $at = route('rehearse.try', $channel);
    $now = $tried->state->now()->in(new DateTimeZone($channel->zone));
    $categories = array_filter(explode("\n", (string) ($channel->details['categories'] ?? '')));
@endphp
<div id="circumstances" @if ($isAnswer) hx-swap-oob="true" @endif>
    <p><label for="try-at">It is</label> <input type="datetime-local" name="at" id="try-at" class="blank" value="{{ $now->format('Y-m-d\TH:i') }}" hx-post="{{ $at }}" hx-trigger="change" hx-vals='{"do": "at"}'>;
        the stream is <select name="live" id="try-live" class="blank" aria-label="Live or offline" hx-post="{{ $at }}" hx-trigger="change" hx-vals='{"do": "hear"}'><option value="1" @selected((bool) ($tried->channel['live'] ?? false))>live</option><option value="0" @selected(! ($tried->channel['live'] ?? false))>offline</option></select>,
        category <input dir="auto" name="category_now" id="try-category" list="try-categories" value="{{ $tried->channel['category'] ?? '' }}" class="blank" size="12" maxlength="100" aria-label="Category" hx-post="{{ $at }}" hx-trigger="change" hx-vals='{"do": "hear"}'><datalist id="try-categories">@foreach ($categories as $one)<option value="{{ $one }}"></option>@endforeach</datalist>.</p>
    <p>Lines are typed <select name="whisper" id="try-whisper" class="blank" aria-label="Where lines are typed"><option value="0" @selected(! $tried->state->isWhisper)>in the chat</option><option value="1" @selected($tried->state->isWhisper)>as whispers to the parrot</option></select>.</p>
    <p><label><input type="checkbox" name="no_flood" id="no-flood" value="1" hx-post="{{ $at }}" hx-trigger="change" hx-vals='{"do": "hear"}' @checked($tried->state->isFloodLifted)> no limit over all commands</label>
        · <label for="try-seed">Random seed</label> <input name="seed" id="try-seed" value="{{ $tried->state->seed }}" class="blank" size="14" maxlength="100" hx-post="{{ $at }}" hx-trigger="change" hx-vals='{"do": "hear"}'></p>
</div>
