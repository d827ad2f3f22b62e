{{-- What is said where a gate is closed, or where a response fails. --}}
<div class="row-line"><span class="label" id="{{ strtr($place, '/', '-') }}-label">{{ $when }}, reply</span>
    <textarea name="{{ $name }}" rows="1" maxlength="2000" aria-labelledby="{{ strtr($place, '/', '-') }}-label" data-editor="{{ $place }}" placeholder="{{ $ofChannel ?? '' ?: 'nothing' }}">{{ $text }}</textarea>@if (($ofChannel ?? '') !== '') <label class="small"><input type="checkbox" name="silent[]" value="{{ $key }}" @checked($isSilent)> say nothing</label>@endif</div>
@foreach ($problems[strtr($place, '/', '.')] ?? [] as $problem)<p class="problem">{{ $problem }}</p>@endforeach
