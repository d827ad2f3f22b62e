<x-book title="Account">
    <main class="door" id="left-page">
        <h1>Account</h1>
        <form method="post" action="{{ route('account.name') }}">@csrf @method('put')
            <x-line-field name="name" label="Name" :value="$user->name" required maxlength="100" autocomplete="name" />
            <p><button class="strong">Save</button></p>
        </form>
        <h2>Email address</h2>
        <form method="post" action="{{ route('account.email') }}">@csrf @method('put')
            <x-line-field name="email" label="Email address" type="email" :value="$user->email" required autocomplete="username" />
            <x-line-field name="password_for_email" label="Your password" type="password" required autocomplete="current-password" />
            <p><button class="strong">Send a link to the new address</button></p>
        </form>
        <h2>Password</h2>
        <form method="post" action="{{ route('account.password') }}">@csrf @method('put')
            <x-line-field name="current_password" label="Password now" type="password" required autocomplete="current-password" />
            <x-line-field name="password" label="New password, ten characters or more" type="password" required autocomplete="new-password" />
            <x-line-field name="password_confirmation" label="Repeat the password" type="password" required autocomplete="new-password" />
            <p><button class="strong">Save</button></p>
        </form>
        <h2>Where you are signed in</h2>
        <ul class="ruled">
            @foreach ($sessions as $session)
                <li><b>{{ $session['isThis'] ? 'This browser' : ($session['address'] ?: 'somewhere') }}</b>
                    <span class="small">last used {{ $session['used']->diffForHumans() }}{{ $session['isThis'] ? '' : ', '.($session['browser'] ?: 'unknown browser') }}</span></li>
            @endforeach
        </ul>
        <form method="post" action="{{ route('account.end') }}">@csrf<p><button class="plain">Sign out everywhere else</button></p></form>
    </main>
</x-book>
