@php($said = fn (string $field) => isset($problems[$field]) ? $problems[$field] : null)
<x-book :title="'Where it speaks · '.$channel->name" :channel="$channel" room="publish">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Where the parrot speaks">
            <div class="page-head"><h1>Where the parrot speaks</h1><a class="plain" href="{{ route('publish', $channel) }}">Back to the draft</a></div>
            <form method="post" action="{{ route('publish.connection', $channel) }}" autocomplete="off" class="sentences">
                @csrf @method('put') <input type="hidden" name="seen" value="{{ App\Storage\Definitions\DefinitionHistory::revision($channel, new App\Storage\Definitions\Connection) }}">
                @if ($said('where'))<p class="problem">{{ $said('where') }}</p>@endif
                <p><label><input type="radio" name="where" value="harbour" @checked($form->isHarbour)> In the harbour, the simulated chat on this machine.</label></p>
                <p><label><input type="radio" name="where" value="server" @checked(! $form->isHarbour)> In a chat that speaks IRC:</label></p>
                <div class="indented">
                    <p>at the server <input name="host" value="{{ $form->host }}" class="blank" size="26" maxlength="253" placeholder="chat.lantern-cove.example" aria-label="Server" spellcheck="false" @if ($said('host')) aria-invalid="true" @endif>, port <input name="port" value="{{ $form->port }}" class="blank short" inputmode="numeric" maxlength="5" aria-label="Port" @if ($said('port')) aria-invalid="true" @endif>, <label><input type="checkbox" name="tls" value="1" @checked($form->tls)> encrypted with TLS</label>,</p>
                    @foreach (['host', 'port'] as $field)@if ($said($field))<p class="problem">{{ $said($field) }}</p>@endif @endforeach
                    <p>in the channel #<input name="room" value="{{ $form->room }}" class="blank" size="16" maxlength="49" aria-label="Channel there" spellcheck="false" @if ($said('room')) aria-invalid="true" @endif>, under the name <input name="nick" value="{{ $form->nick }}" class="blank" size="16" maxlength="30" aria-label="Name there" spellcheck="false" @if ($said('nick')) aria-invalid="true" @endif>.</p>
                    @foreach (['room', 'nick'] as $field)@if ($said($field))<p class="problem">{{ $said($field) }}</p>@endif @endforeach
                    <p>It signs in <select name="sign_in" class="blank" aria-label="How it signs in">
                        <option value="none" @selected($form->signIn === App\Air\SignIn::None)>not at all</option>
                        <option value="account" @selected($form->signIn === App\Air\SignIn::Account)>with an account and its secret (SASL)</option>
                        <option value="password" @selected($form->signIn === App\Air\SignIn::Password)>with a password of the server (PASS)</option></select>;
                        account <input name="account" value="{{ $form->account }}" class="blank" size="16" maxlength="100" placeholder="none" aria-label="Account" spellcheck="false" @if ($said('account')) aria-invalid="true" @endif>,
                        secret <input type="password" name="secret" class="blank" size="16" maxlength="500" autocomplete="new-password" placeholder="{{ $channel->chat_secret === null ? 'none' : 'kept, and not shown' }}" aria-label="Secret" @if ($said('secret')) aria-invalid="true" @endif>.</p>
                    @foreach (['account', 'secret'] as $field)@if ($said($field))<p class="problem">{{ $said($field) }}</p>@endif @endforeach
                </div>
                <p><button class="strong">Let it speak there</button></p>
            </form>
            @include('partials.changes', ['kind' => 'connection'])
            <h2>How long lines are kept</h2>
            <form method="post" action="{{ route('publish.keep', $channel) }}">@csrf @method('put') <input type="hidden" name="seen" value="{{ App\Storage\Definitions\DefinitionHistory::revision($channel, new App\Storage\Definitions\Keeping) }}">
                <p>What was heard, said and refused is kept for <input name="keep_days" value="{{ old('keep_days', $channel->keep_days) }}" class="blank short" inputmode="numeric" maxlength="3" aria-label="Days for which lines are kept"> days, then forgotten. <button class="as-link">Keep to that</button></p>
                @error('keep_days')<p class="problem">{{ $message }}</p>@enderror
            </form>
            @include('partials.changes', ['kind' => 'keeping'])
        </section>
        <section class="page facing" id="right-page" aria-label="What to know">
            <div class="page-head"><h2>What to know</h2></div>
            <p class="health">{{ $channel->health() }}</p>
            <p>With TLS the server must prove its name by a certificate that somebody known vouches for. If it cannot, the parrot sends it nothing and says so here.</p>
            <p>The secret is kept encrypted and never shown again. It goes to this server only: change the server or the account, and it must be given anew.</p>
            <p>In the harbour, and in chats that have accounts, people are known by these. In other chats they are known by their names alone: whoever takes another’s name there is taken for them, points and all.</p>
            <p>Operators of an IRC channel count as moderators here, and whoever has a voice as a VIP.</p>
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Where</a><a href="#right-page">What to know</a></nav>
</x-book>
