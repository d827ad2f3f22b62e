{{-- Who may change it through a response. --}}
@php
    $changedBy = (string) $value('changed_by');
    $choices = ['' => 'everyone'];
    foreach (array_slice(SilverParrot\Chat\Level::cases(), 1) as $level) {
        $choices[$level->word().'+'] = $level === SilverParrot\Chat\Level::Streamer ? 'the streamer' : $level->plural().' and up';
    }
    $choices += [$changedBy => SilverParrot\Document\LevelFormat::ofLine($changedBy)->inWords()];
@endphp
<p class="line-field"><label for="{{ $kind->prefix() }}-changed-by">A response may change it for</label><select id="{{ $kind->prefix() }}-changed-by" name="changed_by">@foreach ($choices as $line => $label)<option value="{{ $line }}" @selected($changedBy === $line)>{{ $label }}</option>@endforeach</select></p>
<p @if ($kind->prefix() === 'counter') data-for-type="viewer" @endif><label><input type="checkbox" name="own_only" value="1" @checked($value('own_only'))> Viewers change only their own; moderators change anybody’s</label></p>
<p><label><input type="checkbox" name="not_by_hand" value="1" @checked($value('not_by_hand'))> Only responses change it, never somebody by hand</label></p>
