<div class="two-texts">
    <div><span class="small">on the air</span>@forelse ($twice->air->texts() as $text)<div><x-saying :$text :$channel/></div>@empty<div class="silence">silent</div>@endforelse @include('publish.partials.trace', ['outcome' => $twice->air])</div>
    <div><span class="small">in the draft</span>@forelse ($twice->draft->texts() as $text)<div><x-saying :$text :$channel/></div>@empty<div class="silence">silent</div>@endforelse @include('publish.partials.trace', ['outcome' => $twice->draft])</div>
</div>
<p><a class="as-link" href="{{ route('publish.chat', ['channel' => $channel, 'line' => $twice->line->number]) }}">See it in the chat</a></p>
