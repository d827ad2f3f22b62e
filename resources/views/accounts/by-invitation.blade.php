<x-door title="By invitation">
    <p>Accounts here are made by invitation. Ask a streamer for a link.</p>
    <p class="small"><a href="{{ route('sign-in') }}">Sign in instead</a></p>
</x-door>
