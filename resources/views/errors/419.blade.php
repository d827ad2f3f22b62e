<x-door title="The session has ended">
    <p>Sign in again; what you typed is kept on its page.</p>
    <p><a href="{{ url('/') }}">Back to the commands</a></p>
</x-door>
