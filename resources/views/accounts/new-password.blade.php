<x-door title="A new password">
    <form method="post" action="{{ route('password.update') }}">
        @csrf
        <input type="hidden" name="token" value="{{ $token }}">
        <x-line-field name="email" label="Email address" type="email" :value="$email" required autocomplete="username" />
        <x-line-field name="password" label="New password, ten characters or more" type="password" required autocomplete="new-password" />
        <x-line-field name="password_confirmation" label="Repeat the password" type="password" required autocomplete="new-password" />
        <p><button class="strong">Set password</button></p>
    </form>
</x-door>
