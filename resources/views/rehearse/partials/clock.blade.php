<span class="clock" id="clock" @if ($isAnswer) hx-swap-oob="true" @endif>It is <time>{{ $tried->state->now()->in(new DateTimeZone($channel->zone))->format('H:i:s') }}</time></span>
