<x-door title="Channels">
    <p class="small">Each channel has its own commands, its own memory, and its own parrot: the account that listens to the chat and answers.</p>
    <ul class="ruled">
        @forelse ($memberships as $membership)
            <li><a href="{{ route('write', $membership->channel) }}">{{ $membership->channel->name }}</a> <span class="small">as {{ $membership->role->value }}</span></li>
        @empty
            <li>You are in no channel yet. Make your own, or ask a streamer to let you in.</li>
        @endforelse
    </ul>
    <h2>A new channel</h2>
    <form method="post" action="{{ route('channels.store') }}">
        @csrf
        <x-line-field name="name" label="Its name" required maxlength="100" />
        <x-line-field name="login" label="The streamer’s login in the chat" required maxlength="25" />
        <p class="line-field"><label for="language">Language of its chat</label>
            <select id="language" name="language">@foreach ($languages as $tag => $name)<option value="{{ $tag }}" @selected(old('language', 'en') === $tag)>{{ $name }}</option>@endforeach</select></p>
        @error('language')<p class="problem">{{ $message }}</p>@enderror
        <p class="line-field"><label for="zone">Time zone</label>
            <select id="zone" name="zone">@foreach ($zones as $zone)<option @selected(old('zone', 'Europe/London') === $zone)>{{ $zone }}</option>@endforeach</select></p>
        @error('zone')<p class="problem">{{ $message }}</p>@enderror
        <p><button class="strong">Create channel</button></p>
    </form>
</x-door>
