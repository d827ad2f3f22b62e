{{-- What was heard last, through the draft. --}}
@php($count = fn (int $n, string $one, string $many) => $n === 1 ? "one $one" : "$n $many")
@if ($looked > 0)
    <h2>The last {{ $looked === 1 ? 'line' : $count($looked, 'line', 'lines') }} of the real chat</h2>
    <p>{{ match (true) { $different === [] => ($looked === 1 ? 'It' : 'Each').' would be answered as it is now.', default => ucfirst($count(count($different), 'line', 'lines')).' would be answered differently.' } }}</p>
    <ul class="ruled" id="differently">
        @foreach ($different as $one)
            <li><details class="twice" hx-get="{{ route('publish.twice', [$channel, $one->line->number]) }}" hx-trigger="toggle once" hx-target="find .whys"><summary><b>{{ $one->line->by->name }}</b> {{ $one->line->text }}
                <span class="field-change">@include('publish.partials.changed-words', ['before' => $one->air->texts() === [] ? '(silent)' : implode(' / ', $one->air->texts()), 'after' => $one->draft->texts() === [] ? '(silent)' : implode(' / ', $one->draft->texts())])</span></summary>
                <div class="whys"></div></details></li>
        @endforeach
    </ul>
@endif
