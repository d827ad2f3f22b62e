@inject('sentences', App\Wording\Sentences::class)
@inject('outlines', App\Remember\Lookups\AnswerOutline::class)
{{-- What came back, as a tree whose values can be chosen. --}}
@php
    use SilverParrot\Lookup\Answer;
    use SilverParrot\Lookup\Trouble;
    $mayAllow = auth()->user()->can('manage', $channel);
    $recorded = $recorded ?? null;
    $writing = $writing ?? null;
    [$outline, $isBroken] = $recorded?->canned->read === null && $answer instanceof Answer ? $outlines->of($lookup, $answer) : [null, ''];
@endphp
<div id="lookup-answer">
    @if ($writing !== null)
        @include('remember.lookups.canned-form')
    @endif
    @if ($answer instanceof Answer)
        <p class="small">Status {{ $answer->status }}{{ $millis > 0 ? ", after $millis ms" : '' }}, {{ number_format(strlen($answer->body)) }} bytes{{ $answer->contentType() === '' ? '' : ', '.strtok($answer->contentType(), ';') }}{{ $millis > 0 ? '; kept for '.$lookup->keep->seconds(SilverParrot\Lookup\Freshness::seconds($answer)).' s' : '' }}.</p>
        @include('remember.lookups.values', ['values' => $values])
        @if ($isBroken !== '')<p class="problem">{{ $isBroken }}</p>@endif
        @if ($answer->status < 200 || $answer->status > 299)<p class="problem">The source answered with a status that says no, so nothing is read from it.</p>@endif
        @if ($outline !== null)
            <h3>What came back</h3>
            <p class="small">Choose a value to take it as a reading. <label>Find <input type="search" dir="auto" class="blank" size="14" data-tree-find aria-label="Find in what came back"></label> The arrow keys move through it.</p>
            <ul class="answer-tree">@include('remember.lookups.tree', ['node' => $outline, 'depth' => 0])</ul>
        @endif
    @elseif ($answer === Trouble::NotAllowed && $host !== '')
        <p class="problem">{{ $host }} was never allowed, so nobody asked it.</p>
        @if ($mayAllow)
            <p><button type="button" class="strong" hx-post="{{ route('remember.lookups.allow', $channel) }}" hx-include="#lookup-form" hx-params="not _method" hx-vals="{{ json_encode(['host' => $host]) }}" hx-target="#lookup-answer" hx-swap="outerHTML" hx-disabled-elt="this">Allow {{ $host }}</button> <span class="small">and ask. Only the streamer can.</span></p>
        @else
            <p class="small">Ask the streamer to allow it.</p>
        @endif
    @elseif ($answer instanceof Trouble && $recorded === null)
        <p class="problem">{{ ucfirst($sentences->of($answer->gap($lookup)->message())) }}.</p>
    @elseif ($answer instanceof Trouble && $writing === null)
        <p>“{{ $recorded->canned->name }}” is in use: in rehearsals the source {{ __("troubles.{$answer->value}") }}.</p>
    @elseif (is_string($answer))
        <p class="problem">{{ $answer }}</p>
    @endif
    @unless ($answer instanceof Answer)<div id="lookup-values"></div>@endunless
</div>
@isset($lines)@include('remember.lookups.canned', ['isOob' => true])@endisset
@if ($hasAllowed ?? false)@include('remember.lookups.all', ['isOob' => true])@include('remember.lookups.hosts', ['isOob' => true])@endif
