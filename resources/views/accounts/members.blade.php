<x-book title="Members" :channel="$channel">
    <main class="door" id="left-page">
        <h1>Members</h1>
        <ul class="ruled">
            @foreach ($memberships as $membership)
                <li>{{ $membership->user->name }} <span class="small">{{ $membership->user->email }}, {{ $membership->role->value }}</span>
                    @if ($membership->role !== App\Accounts\Role::Streamer)
                        <form method="post" action="{{ route('members.destroy', [$channel, $membership]) }}" class="inline">@csrf @method('delete')<button class="as-link" aria-label="Remove {{ $membership->user->name }}">Remove</button></form>
                    @endif
                </li>
            @endforeach
            @foreach ($invitations as $invitation)
                <li>Invited as {{ $invitation->role->value }} <span class="small">until {{ $invitation->expires_at->setTimezone($channel->zone)->format('j M, H:i') }}</span>
                    <form method="post" action="{{ route('members.withdraw', [$channel, $invitation]) }}" class="inline">@csrf @method('delete')<button class="as-link" aria-label="Withdraw the invitation as {{ $invitation->role->value }}">Withdraw</button></form></li>
            @endforeach
        </ul>
        @include('partials.changes', ['kind' => 'members'])
        <h2>Invite somebody</h2>
        @if (session('link'))
            <p class="line-field"><label for="link">Share this link. It works once, within seven days, for whoever joins with it first:</label>
                <input id="link" readonly value="{{ session('link') }}" data-select></p>
        @endif
        <form method="post" action="{{ route('members.store', $channel) }}">
            @csrf
            <p class="line-field"><label for="role">As</label>
                <select id="role" name="role"><option value="author" @selected(old('role') !== 'reader')>author: writes commands</option><option value="reader" @selected(old('role') === 'reader')>reader: looks and rehearses</option></select></p>
            @error('role')<p class="problem">{{ $message }}</p>@enderror
            <x-line-field name="email" label="Email address to send it to, if you like" type="email" />
            <p><button class="strong">Create an invitation</button></p>
        </form>
    </main>
</x-book>
