@php
    use SilverParrot\Chat\HappeningKind;
    use SilverParrot\Rehearsal\Crowd\CrowdPreset;
    use SilverParrot\Rehearsal\Crowd\Habits;
    $mayWrite = auth()->user()->can('write', $channel);
    $happenings = old('happenings', array_map(fn ($one) => ['at' => $one->minute, 'kind' => $one->kind->value, 'count' => $one->count, 'text' => $one->text], $crowd->happenings));
    $phases = old('phases', array_map(fn ($one) => ['from' => $one->from, 'to' => $one->to, 'pace' => $one->pace], $crowd->phases));
    $isOpen = fn (string ...$fields) => collect($fields)->contains(fn ($field) => $errors->has($field));
@endphp
<x-book :title="'A crowd · '.$channel->name" :channel="$channel" room="rehearse">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="A crowd">
            <div class="page-head"><h1>A crowd</h1> @include('rehearse.partials.pages')</div>
            <p>A whole evening of simulated chat, heard in seconds: what the parrot would have said, what it would have kept to itself, and why. Nothing that lasts is changed.</p>
            @if ($mayWrite)
                <p class="small">Begin with @foreach (CrowdPreset::cases() as $one)<a href="{{ route('rehearse.crowd', ['channel' => $channel, 'crowd' => $one->value]) }}">{{ $one->label() }}</a>{{ $loop->last ? '' : ', ' }}@endforeach, and change what you like.</p>
                <form method="post" action="{{ route('rehearse.crowd.store', $channel) }}" class="sentences" id="crowd-form" enctype="multipart/form-data">@csrf
                    <p><x-blank name="people" label="People" :value="$crowd->people" class="short" inputmode="numeric" /> people write <x-blank name="lines" label="Lines" :value="$crowd->lines" class="short" inputmode="numeric" /> lines in <x-blank name="minutes" label="Minutes" :value="$crowd->minutes" class="short" inputmode="numeric" /> minutes.</p>
                    <x-problem name="people" /><x-problem name="lines" /><x-problem name="minutes" />
                    <p>The busiest tenth of them writes <x-blank name="busiest" label="Percent of the lines by the busiest tenth" :value="$crowd->busiestTenth" class="short" inputmode="numeric" />&nbsp;% of it. They stay <x-blank name="stays" label="Minutes that people stay" :value="$crowd->stays" class="short" inputmode="numeric" /> minutes on average (0: all evening).</p>
                    <x-problem name="busiest" /><x-problem name="stays" />
                    <details class="more" @if ($isOpen('habits', 'habits.*', 'levels.*', 'log')) open @endif><summary>Who they are and what they do</summary>
                        <p>Of the people, @foreach ($crowd->levels as $level => $percent)<label class="of-all"><input name="levels[{{ $level }}]" value="{{ old("levels.$level", $percent) }}" class="blank short" inputmode="numeric" maxlength="3">&nbsp;% are {{ ['follower' => 'followers', 'subscriber' => 'subscribers', 'vip' => 'VIPs', 'moderator' => 'moderators'][$level] }}</label>{{ $loop->last ? '.' : ', ' }}@endforeach</p>
                        <x-problem name="levels.*" />
                        <p>Of the lines, so many percent:</p>
                        <ul class="shares">@foreach (Habits::labels() as $key => $label)<li><label><input name="habits[{{ $key }}]" value="{{ old("habits.$key", $crowd->habits[$key] ?? 0) }}" class="blank short" inputmode="numeric" maxlength="3">&nbsp;% {{ $label }}</label></li>@endforeach</ul>
                        <x-problem name="habits" /><x-problem name="habits.*" />
                        <p class="small">The rest is said by the way. Commands and phrases are those of the pack.</p>
                        <p><label><input type="checkbox" name="words" value="1" @checked(old('words', ($plan->words ?? []) !== []))> take words from the last lines of the real chat too</label></p>
                        <p><label>and from a chat log <input type="file" name="log" class="small"></label></p>
                        <x-problem name="log" />
                    </details>
                    <details class="more" @if ($isOpen('phases.*.from', 'phases.*.to', 'phases.*.pace', 'happenings.*.at', 'happenings.*.count')) open @endif><summary>Rushes, quiet times, and what happens</summary>
                        <div>@for ($place = 0; $place < min(20, count($phases) + 2); $place++)
                            <p>From minute <input name="phases[{{ $place }}][from]" value="{{ $phases[$place]['from'] ?? '' }}" class="blank short" inputmode="numeric" maxlength="4" aria-label="From minute"> to <input name="phases[{{ $place }}][to]" value="{{ $phases[$place]['to'] ?? '' }}" class="blank short" inputmode="numeric" maxlength="4" aria-label="To minute"> they write <input name="phases[{{ $place }}][pace]" value="{{ $phases[$place]['pace'] ?? '' }}" class="blank short" inputmode="numeric" maxlength="4" placeholder="100" aria-label="Pace in percent">&nbsp;% of what they write otherwise.</p>
                        @endfor</div>
                        <x-problem name="phases.*" />
                        <div>@for ($place = 0; $place < min(20, count($happenings) + 2); $place++)
                            <p>At minute <input name="happenings[{{ $place }}][at]" value="{{ $happenings[$place]['at'] ?? '' }}" class="blank short" inputmode="numeric" maxlength="4" aria-label="At minute">: <select name="happenings[{{ $place }}][kind]" class="blank" aria-label="What happens">@foreach (HappeningKind::ofCrowds() as $kind)<option value="{{ $kind->value }}" @selected(($happenings[$place]['kind'] ?? '') === $kind->value)>{{ $kind->label() }}</option>@endforeach</select>, <input name="happenings[{{ $place }}][count]" value="{{ $happenings[$place]['count'] ?? '' }}" class="blank short" inputmode="numeric" maxlength="4" placeholder="1" aria-label="How many"> people <input dir="auto" name="happenings[{{ $place }}][text]" value="{{ $happenings[$place]['text'] ?? '' }}" class="blank" size="12" maxlength="100" placeholder="category" aria-label="Category"></p>
                        @endfor</div>
                        <x-problem name="happenings.*" />
                    </details>
                    <p>Hear <select name="of" class="blank" aria-label="What is heard"><option value="draft">the draft</option>@if ($hasEdition)<option value="edition" @selected(old('of', $plan?->isOfEdition ? 'edition' : '') === 'edition')>the edition on the air</option>@endif</select>, <select name="seeds" class="blank" aria-label="How many evenings">@foreach (App\Rehearse\Evenings\CrowdRequest::SEEDS as $seeds)<option value="{{ $seeds }}" @selected((int) old('seeds', $plan->seeds ?? 1) === $seeds)>{{ $seeds === 1 ? 'one evening' : "$seeds evenings" }}</option>@endforeach</select>, random seed <x-blank name="seed" label="Random seed" :value="$plan->seed ?? '1'" class="short" maxlength="100" />.</p>
                    <x-problem name="seeds" /><x-problem name="of" />
                    <p><button class="strong">Hear it</button></p>
                </form>
            @endif
        </section>
        <section class="page facing" id="right-page" aria-label="Rehearsals">
            @include('rehearse.partials.rehearsals')
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">A crowd</a><a href="#right-page">Rehearsals</a></nav>
</x-book>
