{{-- Whether addresses in responses still lead somewhere. --}}
<h2>Addresses in responses</h2>
<p class="small">{{ match (true) { $addresses === 0 => 'None checked yet.', $wrong === [] => $addresses === 1 ? 'One checked: it still works.' : "$addresses checked: all still work.", default => ($addresses === 1 ? 'One' : $addresses).' checked. Findings stand where these are written:' } }}</p>
@if ($wrong !== [])<ul class="ruled">@foreach (array_slice($wrong, 0, 20, true) as $address => $looked)<li><span dir="auto">{{ $address }}</span> <span class="problem-text">{{ ['gone' => 'is gone', 'moved' => 'has moved to '.$looked->to, 'certificate' => 'has a certificate that browsers warn of'][$looked->state->value] ?? '' }}</span></li>@endforeach</ul>@endif
@can('manage', $channel)
    <form method="post" action="{{ route('remember.addresses', $channel) }}" class="small">@csrf @method('put')<label><input type="checkbox" name="all" value="1" @checked($channel->looks_at_addresses)> check addresses on all other hosts too, once a day</label> <button class="plain">Save and check now</button></form>
@endcan
