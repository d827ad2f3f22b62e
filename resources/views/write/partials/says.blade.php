{{-- A response, slots told apart from text. --}}
@foreach (SilverParrot\Response\Segments::of($text) as [$segment, $isSlot])<span @class(['slot' => $isSlot])>{{ $segment }}</span>@endforeach
