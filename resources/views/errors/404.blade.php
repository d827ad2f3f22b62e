<x-door title="Nothing here">
    <p>There is no such page, or it is not yours to see.</p>
    <p><a href="{{ url('/') }}">Back to the commands</a></p>
</x-door>
