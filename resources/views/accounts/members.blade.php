<x-book title="Who may write here" :channel="$channel">
    <main class="door" id="left-page">
        <h1>Who may write here</h1>
        <ul class="ruled">
            @foreach ($memberships as $membership)
                <li>{{ $membership->user->name }} <span class="small">{{ $membership->user->email }}, {{ $membership->role->value }}</span>
                    @if ($membership->role !== App\Models\Role::Streamer)
                        <form method="post" action="{{ route('members.destroy', [$channel, $membership]) }}" class="inline">@csrf @method('delete')<button class="as-link" aria-label="take out {{ $membership->user->name }}">take out</button></form>
                    @endif
                </li>
            @endforeach
        </ul>
        <h2>Let somebody in</h2>
        <form method="post" action="{{ route('members.store', $channel) }}">
            @csrf
            <x-line-field name="email" label="Their mail address" type="email" required />
            <p class="line-field"><label for="role">As</label>
                <select id="role" name="role"><option value="author">author: writes commands</option><option value="reader">reader: looks and rehearses</option></select></p>
            <p><button class="strong">Let them in</button></p>
        </form>
    </main>
</x-book>
