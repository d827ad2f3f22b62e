<form id="chat" class="chat" hx-post="{{ route('rehearse.try', $channel) }}" hx-target="#heard" hx-swap="outerHTML" hx-sync="this:queue all" @if ($withDraft) hx-include="#command [name]:not([name=_method]):not([name=_token])" @endif autocomplete="off">
    @csrf
    <div class="page-head">
        <h2>Try it</h2>
        @include('rehearse.partials.clock')
        <span class="buttons">
            @foreach ([10 => '+10 s', 60 => '+1 min', 600 => '+10 min', 3_600 => '+1 hour', 86_400 => '+1 day'] as $seconds => $label)
                <button type="button" class="plain" hx-post="{{ route('rehearse.try', $channel) }}" hx-vals='{"do": "turn", "seconds": {{ $seconds }}}' aria-label="{{ $label }}: move the clock forward">{{ $label }}</button>
            @endforeach
            <button type="button" class="plain" hx-post="{{ route('rehearse.try', $channel) }}" hx-vals='{"do": "over"}'>Start over</button>
        </span>
    </div>
    @if ($isLarge ?? false)<input type="hidden" name="large" value="1">@endif
    @include('partials.chat-display')
    @include('rehearse.partials.heard')
    <div class="composer">
        <p class="as"><label for="speaker">As</label> <select id="speaker" name="speaker" class="blank">
            @foreach ($tried->cast as $member)
                <option value="{{ $member->login }}" title="{{ $member->habits }}" @selected($member->login === $tried->speaker())>{{ $member->name }}{{ $member->levels === [] ? '' : ', '.$member->person()->levels->highest()->label() }}</option>
            @endforeach
        </select></p>
        <label class="visually-hidden" for="say-line">A chat line</label>
        <input dir="auto" id="say-line" name="line" class="blank wide" placeholder="{{ $row ? $row->trigger : 'a chat line' }}" maxlength="500">
        <button type="submit" class="strong" name="do" value="say">Say</button>
    </div>
    <details class="small circumstances" @if ($isLarge ?? false) open @endif><summary>Date, stream, flood limit, random seed</summary>
        @include('rehearse.partials.circumstances')
    </details>
</form>
