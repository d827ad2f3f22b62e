<x-door title="Too large">
    <p>That is more than is taken at once. Send less of it.</p>
    <p><a href="{{ url('/') }}">Back to the commands</a></p>
</x-door>
