<p class="small">It is set on this page, or by a response: [set occasion.{{ $value('name') ?: '…' }} to now].</p>
