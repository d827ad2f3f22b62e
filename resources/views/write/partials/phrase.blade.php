{{-- One phrase, with what is set of it and the lines that it is tried with. --}}
<div class="phrase" data-phrase>
    <p class="phrase-text"><input dir="auto" name="phrases[{{ $index }}][text]" value="{{ $phrase->text }}" class="blank wide" maxlength="200" spellcheck="false" placeholder="when .. high tide" aria-label="Phrase">
        <button type="button" class="as-link small" data-remove-phrase>remove</button></p>
    <x-more :is-open="$phrase->isTolerant || $phrase->cooldown > 0 || $phrase->isAlso || ! $phrase->isOn || $phrase->place > 0">
        <p><label><input type="checkbox" name="phrases[{{ $index }}][tolerant]" value="1" @checked($phrase->isTolerant)> forgives one wrong letter in long words</label>;
            at most once in <input name="phrases[{{ $index }}][cooldown]" value="{{ $phrase->cooldown ?: '' }}" class="blank short" inputmode="numeric" maxlength="6" placeholder="0" aria-label="Seconds before this phrase is answered again">&nbsp;s;
            <label><input type="checkbox" name="phrases[{{ $index }}][also]" value="1" @checked($phrase->isAlso)> also answers when another command does</label>;
            <label><input type="checkbox" name="phrases[{{ $index }}][off]" value="1" @checked(! $phrase->isOn)> switched off</label>;
            if another phrase matches equally, this one comes <input name="phrases[{{ $index }}][place]" value="{{ $phrase->place ?: '' }}" class="blank short" inputmode="numeric" maxlength="3" placeholder="last" aria-label="Its place among phrases with as many words; 1 is first"> (<a href="{{ route('write.phrase-order', $channel) }}">the order of all phrases</a>)</p>
    </x-more>
    <ul class="small tried" data-tried>
        @foreach (['must' => $phrase->must, 'must_not' => $phrase->mustNot] as $kind => $lines)
            @foreach ($lines as $line)
                <li>{{ $kind === 'must' ? 'must:' : 'must not:' }} <q dir="auto">{{ $line }}</q> <input type="hidden" name="phrases[{{ $index }}][{{ $kind }}][]" value="{{ $line }}"><button type="button" class="as-link" data-forget-line>take away</button></li>
            @endforeach
        @endforeach
    </ul>
    <p class="small"><input dir="auto" class="blank" size="34" maxlength="500" data-new-line placeholder="a line that must set it off" aria-label="A line that must set it off"> <button type="button" class="as-link" data-add-line="must">add</button></p>
    <div class="trial small" data-trial aria-live="polite"></div>
</div>
