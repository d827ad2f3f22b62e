@php
    use App\Rehearse\Evenings\EveningPicture;
    use App\Rehearse\Evenings\EveningSketch;
@endphp
{{-- What was written so far, while an evening is heard. --}}
<svg class="evening-picture is-sketch" viewBox="0 0 {{ EveningPicture::WIDTH }} {{ EveningSketch::HEIGHT }}" role="img" aria-label="How much was written so far">
    @foreach ($sketch as [$x, $width, $lines, $said])<rect x="{{ $x }}" y="{{ EveningSketch::HEIGHT - $lines - $said }}" width="{{ $width }}" height="{{ $lines }}" class="people"></rect>@if ($said > 0)<rect x="{{ $x }}" y="{{ EveningSketch::HEIGHT - $said }}" width="{{ $width }}" height="{{ $said }}" class="parrot"></rect>@endif @endforeach
</svg>
