<x-door title="Register">
    <form method="post" action="{{ route('register') }}">
        @csrf
        <x-line-field name="name" label="Your name" required autofocus autocomplete="name" />
        <x-line-field name="email" label="Email address" type="email" required autocomplete="username" />
        <x-line-field name="password" label="Password, ten characters or more" type="password" required autocomplete="new-password" />
        <x-line-field name="password_confirmation" label="Repeat the password" type="password" required autocomplete="new-password" />
        <p><button class="strong">Register</button></p>
    </form>
    <p class="small"><a href="{{ route('sign-in') }}">Sign in instead</a></p>
</x-door>
