@props(['channel'])
@inject('health', App\Publish\ConnectionHealth::class)
{{-- What is true of the connection now, for as long as the page is looked at. --}}
<p class="health" hx-get="{{ route('publish.health', $channel) }}" hx-trigger="every 3s" hx-swap="textContent">{{ $health->inWords($channel) }}</p>
