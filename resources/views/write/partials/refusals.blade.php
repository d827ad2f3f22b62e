{{-- What is said where a gate is closed, written once for the channel. --}}
<details class="refusals" id="refusals" @if ($errors->has('refusals.*') || $errors->has('refusals')) open @endif>
    <summary>Replies when a command doesn’t answer{{ ($channel->refusals ?? []) === [] ? '' : ': '.count($channel->refusals) }}</summary>
    <form method="post" action="{{ route('write.refusals', $channel) }}">
        @csrf @method('put') <x-seen :channel="$channel" kind="refusals" />
        <fieldset @disabled(! auth()->user()->can('write', $channel))>
            <p class="small">For every command without a reply of its own. One person hears one within {{ SilverParrot\Pack\Flood::WINDOW_SECONDS }} s, everybody together one within {{ SilverParrot\Hearing\Gates\RefusalGate::APART }} s. <code>[outcome.reason]</code> says why.</p>
            @foreach (SilverParrot\Hearing\Gates\GateSettings::refusals() as $key => $refusal)
                <p class="row-line"><label class="label" for="reply-{{ $key }}">{{ $refusal->when }}</label> <input dir="auto" id="reply-{{ $key }}" name="refusals[{{ $key }}]" value="{{ old("refusals.$key", $channel->refusals[$key] ?? '') }}" class="blank wide" maxlength="2000" placeholder="nothing" @error("refusals.$key") aria-invalid="true" aria-describedby="reply-{{ $key }}-problem" @enderror></p>
                @error("refusals.$key")<p class="problem" id="reply-{{ $key }}-problem">{{ $message }}</p>@enderror
            @endforeach
            @can('write', $channel)<button class="plain">Save</button>@endcan
        </fieldset>
    </form>
    @include('partials.changes', ['kind' => 'refusals'])
</details>
