<x-door title="Too many requests">
    <p>Wait a minute, then try again.</p>
    <p><a href="{{ url('/') }}">Back to the commands</a></p>
</x-door>
