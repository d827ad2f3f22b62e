<x-door title="Not understood">
    <p>Something in that request cannot be read. Go back and try again.</p>
    <p><a href="{{ url('/') }}">Back to the commands</a></p>
</x-door>
