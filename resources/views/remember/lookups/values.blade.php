@inject('sentences', App\Wording\Sentences::class)
{{-- What each reading is, in the answer that is shown. --}}
<div id="lookup-values" aria-live="polite" @if ($isOob ?? false) hx-swap-oob="true" @endif>
    @if ($values !== [])
        <h3>Readings</h3>
        <dl class="lookup-values">
            @foreach ($values as $one)
                <dt dir="auto">{{ $one->name === '' ? 'no name yet' : $one->name }}</dt>
                <dd dir="auto">@if ($one->value !== null)<b>{{ $one->value }}</b>@isset($noted[$one->name]) <span class="small">when the stream began {{ $noted[$one->name]['began'] }}{{ $noted[$one->name]['gained'] === '' ? '' : ', '.$noted[$one->name]['gained'].' gained' }}</span>@endisset @elseif ($one->problem !== '')<span class="problem-text">{{ $one->problem }}</span>@elseif ($one->gap !== null)<span class="silence">{{ $sentences->of($one->gap->message()) }}</span>@else<span class="small">ask first</span>@endif @if ($one->places > 1)<div class="small">its path meets {{ $one->places }} places: {{ $one->met }}{{ $one->places > 5 ? ', …' : '' }}</div>@endif</dd>
            @endforeach
        </dl>
    @endif
</div>
