<x-door title="Channels">
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
        <x-line-field name="language" label="Language, like en or pt-BR" value="en" required />
        <x-line-field name="zone" label="Time zone, like Europe/London" value="Europe/London" required />
        <p><button class="strong">Make it</button></p>
    </form>
</x-door>
