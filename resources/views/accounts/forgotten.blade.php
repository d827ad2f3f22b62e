<x-door title="A new password">
    <form method="post" action="{{ route('password.email') }}">
        @csrf
        <x-line-field name="email" label="Email address" type="email" required autofocus autocomplete="username" />
        <p><button class="strong">Send me a link</button></p>
    </form>
    <p class="small"><a href="{{ route('sign-in') }}">Back</a></p>
</x-door>
