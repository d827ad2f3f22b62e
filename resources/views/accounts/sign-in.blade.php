<x-door title="Sign in">
    <p>Silver Parrot answers a stream’s chat: write its commands, try them in a simulated chat, and publish what works.</p>
    <form method="post" action="{{ route('sign-in') }}">
        @csrf
        <x-line-field name="email" label="Email address" type="email" required autofocus autocomplete="username" />
        <x-line-field name="password" label="Password" type="password" required autocomplete="current-password" />
        <p><label><input type="checkbox" name="remember" value="1"> Stay signed in on this machine</label></p>
        <p><button class="strong">Sign in</button></p>
    </form>
    <p class="small">@if ($mayRegister)New here? <a href="{{ route('register') }}">Register</a>. @endif Password forgotten? <a href="{{ route('password.request') }}">Ask for a new one</a>.</p>
    <p class="small">On your own machine, <code>bin/parrot up</code> prints a link that signs you in.</p>
</x-door>
