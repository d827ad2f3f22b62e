<x-door :title="'An invitation to '.$invitation->channel->name">
    <p>{{ $invitation->user?->name ?? 'The streamer' }} invites you to {{ $invitation->channel->name }}, as {{ $invitation->role->value }}:
        {{ $invitation->role->mayWrite() ? 'you write commands and publish them.' : 'you look and rehearse, and change nothing.' }}</p>
    @auth
        <form method="post" action="{{ route('invitation.accept', $token) }}">@csrf<p><button class="strong">Join as {{ auth()->user()->name }}</button></p></form>
    @else
        <p><a class="strong" href="{{ route('sign-in') }}">Sign in and join</a></p>
        <p class="small">No account yet? <a href="{{ route('register') }}">Register</a>, then sign in: it leads back here.</p>
    @endauth
</x-door>
