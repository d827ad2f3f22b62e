<x-door title="Not possible here">
    <p>That page cannot be asked for in this way.</p>
    <p><a href="{{ url('/') }}">Back to the commands</a></p>
</x-door>
