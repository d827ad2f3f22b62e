@php use SilverParrot\Figures\MarkKind; @endphp
{{-- The sign of what came of something, around a place of a picture. --}}
@if ($kind === MarkKind::Said)<circle cx="{{ $x }}" cy="{{ $y }}" r="5"></circle>
@elseif ($kind === MarkKind::HeldBack)<rect x="{{ $x - 3 }}" y="{{ $y - 6 }}" width="6" height="12"></rect>
@elseif ($kind === MarkKind::Failed)<path d="M{{ $x - 5 }} {{ $y - 5 }} l10 10 m0 -10 l-10 10"></path>
@elseif ($kind === MarkKind::Happened)<path d="M{{ $x }} {{ $y - 7 }} l7 7 l-7 7 l-7 -7 z"></path>
@else<circle cx="{{ $x }}" cy="{{ $y }}" r="3"></circle>@endif
