{{-- A canned result, to be kept under a name. --}}
@php
    use SilverParrot\Lookup\Answer;
    use SilverParrot\Lookup\Trouble;
    $isAnswer = $writing->answer instanceof Answer;
    $isTooLarge = $recorded->canned->read !== null;
@endphp
<div class="canned-form named-form">
    <p>Called <input dir="auto" name="canned_name" value="{{ $writing->name }}" class="blank" size="18" maxlength="60" placeholder="spring tide" aria-label="Name of the canned result"> the source <select name="canned_how" class="blank" aria-label="What the source does"><option value="answers">answers with this</option>@foreach (Trouble::onDemand() as $trouble)<option value="{{ $trouble->value }}" @selected($writing->answer === $trouble)>{{ __("troubles.{$trouble->value}") }}</option>@endforeach</select>, status <input name="canned_status" value="{{ $isAnswer ? $writing->answer->status : 200 }}" class="blank short" inputmode="numeric" maxlength="3" aria-label="Status">.</p>
    @if ($problem !== '')<p class="problem">{{ $problem }}</p>@endif
    @if ($isTooLarge)
        <p class="small">It was too large to be kept whole: its readings are, as they were.</p>
    @else
        <textarea dir="auto" name="canned_body" rows="10" spellcheck="false" aria-label="What it answers with">{{ $isAnswer ? $writing->answer->body : '' }}</textarea>
    @endif
    <p><button type="button" class="strong" hx-post="{{ route('remember.lookups.canned', [$channel, $row->stable_id]) }}" hx-vals='{"id": {{ $recorded->id }}}' hx-include="#lookup-form, closest .canned-form" hx-params="not _method" hx-target="#lookup-answer" hx-swap="outerHTML" hx-disabled-elt="this">Keep and use it</button></p>
</div>
