<x-door title="Something went wrong">
    <p>It is written down in storage/logs. What you typed is kept on its page.</p>
    <p><a href="{{ url('/') }}">Back to the commands</a></p>
</x-door>
