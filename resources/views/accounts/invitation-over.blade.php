<x-door title="This invitation is over">
    <p>It was used already, withdrawn, or is more than seven days old. Ask whoever invited you for another one.</p>
</x-door>
