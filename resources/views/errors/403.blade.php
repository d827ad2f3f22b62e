<x-door title="Not allowed">
    <p>You may look here, not change anything. Ask the streamer to make you an author.</p>
    <p><a href="{{ url('/') }}">Back to the commands</a></p>
</x-door>
