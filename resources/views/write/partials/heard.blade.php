{{-- What came of a line, in a few words: what is said, or why nothing is. --}}
@if ($outcome->sayings !== [])
    @foreach ($outcome->texts() as $text)<x-saying :$text :$channel/>@endforeach
    @if ($outcome->failed)<span class="because">because it fails: @told($outcome->failed->message())</span>@endif
@elseif ($outcome->closed)
    <span class="because">no reply: @told($outcome->closed->reason)</span>
@elseif ($outcome->failed)
    <span class="because">no reply: @told($outcome->failed->message())</span>
@else
    <span class="because">says nothing</span>
@endif
