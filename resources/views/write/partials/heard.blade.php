{{-- What came of a line, in a few words: what is said, or why nothing is. --}}
@if ($outcome->sayings !== [])
    @foreach ($outcome->texts() as $text)<x-saying :$text :$channel/>@endforeach
    @if ($outcome->failed)<span class="because">because it fails: {{ $outcome->failed->getMessage() }}</span>@endif
@elseif ($outcome->closed)
    <span class="because">silent: {{ $outcome->closed->reason }}</span>
@elseif ($outcome->failed)
    <span class="because">silent: {{ $outcome->failed->getMessage() }}</span>
@else
    <span class="because">says nothing</span>
@endif
