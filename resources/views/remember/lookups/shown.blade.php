{{-- The answer that was recorded last, until another comes. --}}
@if ($shown !== null)
    @include('remember.lookups.answer', ['answer' => $shown, 'millis' => 0, 'host' => '', 'lines' => null, 'values' => App\Remember\Lookups\CannedLines::ofAnswer($channel, $lookup, new SilverParrot\Lookup\CannedAnswer([], $shown), [])])
@else
    <div id="lookup-answer"><div id="lookup-values"></div><p class="small">Nothing has come back yet: press <b>Ask now</b>.</p></div>
@endif
@include('remember.lookups.canned', ['row' => $edited])
