@php
    use App\Publish\FromChat\EffectState;
    $mayWrite = auth()->user()->can('write', $channel);
    $mayManage = auth()->user()->can('manage', $channel);
    $label = static fn (string $deed): string => __('deeds.'.str_replace(' ', '-', $deed).'.label');
    $unseen = $rows->whereNull('seen_at')->count();
@endphp
<x-book :title="'Changes from chat · '.$channel->name" :channel="$channel" room="write" :address="route('write.from-chat', $channel)">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Changes from chat">
            <div class="page-head"><h1>Changes from chat</h1> <a class="plain" href="{{ route('write', $channel) }}">Commands</a></div>
            @if ($asked->isNotEmpty())
                <h2 class="group">Waiting for approval</h2>
                <ul class="ruled">
                    @foreach ($asked as $effect)
                        <li id="effect-{{ $effect->id }}">@include('write.partials.effect')
                            @if ($mayManage)
                                <form method="post" action="{{ route('write.from-chat.decide', [$channel, $effect]) }}" class="inline">@csrf<button class="plain" name="yes" value="1">Approve</button> <button class="as-link" name="yes" value="0">decline</button></form>
                            @else <span class="small">Only the streamer can approve it.</span> @endif</li>
                    @endforeach
                </ul>
            @endif
            @if ($rows->isEmpty() && $asked->isEmpty())
                <p>Nobody has changed a command from chat yet. A command can add, change and delete others: on its page, choose “do something first”.</p>
            @endif
            @if ($unseen > 0 && $mayWrite)
                <form method="post" action="{{ route('write.from-chat.seen', $channel) }}" >@csrf<button class="plain">Mark all as seen ({{ $unseen }})</button></form>
            @endif
            <ul class="ruled">
                @foreach ($rows as $effect)
                    <li id="effect-{{ $effect->id }}" @class(['is-new' => $effect->seen_at === null])>@include('write.partials.effect')
                        @if ($effect->undone_at !== null) <span class="small">taken back</span>
                        @elseif ($effect->state === EffectState::Done && $mayWrite && $effect->subject !== 'mark')
                            <form method="post" action="{{ route('write.from-chat.undo', [$channel, $effect]) }}" class="inline">@csrf<button class="as-link" aria-label="undo: {{ $label($effect->deed) }}">undo</button></form>
                        @endif</li>
                @endforeach
            </ul>
        </section>
        <section class="page facing" id="right-page" aria-label="What may be changed from chat">
            <div class="page-head"><h2>What may be changed from chat</h2></div>
            <p>The commands that do it say who may use them. Nobody can change a command they may not use, or give away more than they have. The streamer may do everything.</p>
            <form method="post" action="{{ route('write.from-chat.rules', $channel) }}">
                @csrf @method('put') <x-seen :channel="$channel" kind="from-chat" />
                <fieldset @disabled(! $mayManage)>
                    <p><label><input type="checkbox" name="memory" value="1" @checked($channel->from_chat['memory'] ?? false)> Replies written from chat may change memory, such as <code>[add 1 to counter.planks]</code></label></p>
                    <p><label><input type="checkbox" name="look_ups" value="1" @checked($channel->from_chat['look_ups'] ?? false)> Replies written from chat may ask the web, such as <code>[lookup.tide.high]</code></label></p>
                    <p><label><input type="checkbox" name="waits" value="1" @checked($channel->from_chat['waits'] ?? false)> Changes from chat wait for the streamer’s approval instead of going on the air at once</label></p>
                    @if ($mayManage)<button class="plain">Save</button>@endif
                </fieldset>
            </form>
            @include('partials.changes', ['kind' => 'from-chat'])
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Changes</a><a href="#right-page">Rules</a></nav>
</x-book>
