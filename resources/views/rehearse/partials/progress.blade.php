{{-- How far it is: the page asks again by itself until it is over. --}}
@if ($row->state->isOpen())
    <div role="status" id="progress" hx-get="{{ route('rehearse.evening', [$channel, $row]) }}" hx-trigger="load delay:500ms" hx-select="#left-page" hx-target="#left-page" hx-swap="outerHTML">
        <p><progress max="{{ max(1, $row->total) }}" value="{{ $row->done }}" aria-label="How far it is"></progress>
            {{ match (true) {
                $row->state === SilverParrot\Rehearsal\RehearsalState::Waiting => 'It waits for a worker.',
                $row->done >= $row->total && $row->total > 0 => 'All is heard; what would make it better is tried.',
                default => number_format($row->done).' of '.number_format($row->total).(($row->options['seeds'] ?? 1) > 1 ? ' evenings' : ' lines').' are heard.',
            } }}</p>
        @if ($row->sketch !== null)@include('rehearse.partials.sketch', ['sketch' => $row->sketch])@endif
        @if ($mayWrite)<form method="post" action="{{ route('rehearse.evening.stop', [$channel, $row]) }}">@csrf<button class="plain">Stop</button></form>@endif
    </div>
@elseif ($row->state === SilverParrot\Rehearsal\RehearsalState::Failed)
    <p class="problem" role="status">It was not heard: {{ $row->trouble }}</p>
@elseif ($row->state === SilverParrot\Rehearsal\RehearsalState::Stopped)
    <p role="status">It was stopped{{ $row->result === null ? ' before it began.' : ': this is what it came to until then.' }}</p>
@endif
