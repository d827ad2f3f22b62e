{{-- What a form was made from, so that nobody overwrites what somebody else saved meanwhile. --}}
@props(['channel', 'kind'])
<input type="hidden" name="seen" value="{{ App\Storage\Definitions\DefinitionHistory::revision($channel, App\Storage\Definitions\DefinitionHistory::kind($kind)) }}">@error($kind)<p class="problem" tabindex="-1" autofocus>{{ $message }}</p>@enderror
