<x-book :title="'Where it speaks · '.$channel->name" :channel="$channel" room="publish">
    <main class="book is-even">
        <section class="page" id="left-page" aria-label="Where the parrot speaks">
            <div class="page-head"><h1>Where the parrot speaks</h1><a class="plain" href="{{ route('publish', $channel) }}">Back to the draft</a></div>
            <form method="post" action="{{ route('publish.connection', $channel) }}" autocomplete="off" class="sentences">
                @csrf @method('put') <x-seen :channel="$channel" kind="connection" />
                @php($where = old('where', $channel->chat_server === null ? 'harbour' : 'server'))
                @php($signIn = old('sign_in', $server['sign_in']))
                <p><label><input type="radio" name="where" value="harbour" @checked($where === 'harbour')> In the harbour, the simulated chat on this machine.</label></p>
                <p><label><input type="radio" name="where" value="server" @checked($where === 'server')> In a chat that speaks IRC:</label></p>
                <x-problem name="where" />
                <div class="indented">
                    <p>at the server <x-blank name="host" label="Server" :value="$server['host']" size="26" maxlength="253" placeholder="chat.lantern-cove.example" spellcheck="false" />, port <x-blank name="port" label="Port" :value="$server['port']" class="short" inputmode="numeric" maxlength="5" />, <label><input type="checkbox" name="tls" value="1" @checked(old('where') === null ? $server['tls'] : old('tls'))> encrypted with TLS</label>,</p>
                    <x-problem name="host" /><x-problem name="port" />
                    <p>in the channel #<x-blank name="room" label="Channel there" :value="$server['room']" size="16" maxlength="49" spellcheck="false" />, under the name <x-blank name="nick" label="Name there" :value="$server['nick']" size="16" maxlength="30" spellcheck="false" />.</p>
                    <x-problem name="room" /><x-problem name="nick" />
                    <p>It signs in <select name="sign_in" class="blank" aria-label="How it signs in" @error('sign_in') aria-invalid="true" aria-describedby="sign_in-problem" @enderror>
                        @foreach (App\Air\SignIn::cases() as $one)<option value="{{ $one->value }}" @selected($signIn === $one->value)>{{ __("connection.sign_in.{$one->value}") }}</option>@endforeach</select>;
                        account <x-blank name="account" label="Account" :value="$server['account']" size="16" maxlength="100" placeholder="none" spellcheck="false" />,
                        secret <x-blank name="secret" type="password" label="Secret" size="16" maxlength="500" autocomplete="new-password" :placeholder="$channel->chat_secret === null ? 'none' : 'kept, and not shown'" />.</p>
                    <x-problem name="sign_in" /><x-problem name="account" /><x-problem name="secret" />
                </div>
                <p><button class="strong">Save</button></p>
            </form>
            @include('partials.changes', ['kind' => 'connection'])
            <h2>How long lines are kept</h2>
            <form method="post" action="{{ route('publish.keep', $channel) }}">@csrf @method('put') <x-seen :channel="$channel" kind="keeping" />
                <p>What was heard, said and refused is kept for <x-blank name="keep_days" label="Days for which lines are kept" :value="$channel->keep_days" class="short" inputmode="numeric" maxlength="3" /> days, then forgotten. <button class="as-link">Save</button></p>
                <x-problem name="keep_days" />
            </form>
            @include('partials.changes', ['kind' => 'keeping'])
        </section>
        <section class="page facing" id="right-page" aria-label="What to know">
            <div class="page-head"><h2>What to know</h2></div>
            <x-health :$channel/>
            <p>With TLS the server must prove its name by a certificate that somebody known vouches for. If it cannot, the parrot sends it nothing and says so here.</p>
            <p>The secret is kept encrypted and never shown again. It goes to this server only: change the server or the account, and it must be given anew.</p>
            <p>In the harbour, and in chats that have accounts, people are known by these. In other chats they are known by their names alone: whoever takes another’s name there is taken for them, points and all.</p>
            <p>Operators of an IRC channel count as moderators here, and whoever has a voice as a VIP.</p>
        </section>
    </main>
    <nav class="turn" aria-label="Pages"><a href="#left-page">Where</a><a href="#right-page">What to know</a></nav>
</x-book>
