@props(['title', 'channel' => null, 'room' => null, 'address' => request()->isMethod('GET') ? request()->fullUrl() : route('home')])
<!doctype html>
<html lang="en" data-bs-theme="light">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="style-nonce" content="{{ Vite::cspNonce() }}">
    <meta name="htmx-config" content='{"allowEval":false,"includeIndicatorStyles":false,"historyCacheSize":0}'>
    <title>{{ $title }} · Silver Parrot</title>
    <link rel="icon" href="{{ asset('assets/parrot.svg') }}" type="image/svg+xml">
    <link rel="stylesheet" href="{{ asset('assets/app.css') }}?v={{ filemtime(public_path('assets/app.css')) }}">
    <script src="{{ asset('assets/theme.js') }}?v={{ filemtime(public_path('assets/theme.js')) }}"></script>
    <script src="{{ asset('assets/app.js') }}?v={{ filemtime(public_path('assets/app.js')) }}" defer></script>
</head>
<body @auth data-person="{{ auth()->id() }}" @endauth>
    <a class="skip" href="#left-page">To the text</a>
    <header class="edge">
        <a class="name" href="{{ route('home') }}"><img src="{{ asset('assets/parrot.svg') }}" alt="" width="22" height="22"><span>Silver Parrot</span></a>
        @if ($channel)
            <span class="channel">{{ $channel->name }}</span>
            <nav class="tabs" aria-label="Rooms" data-waiting="{{ route('publish.waiting', $channel) }}">
                <a href="{{ route('write', $channel) }}" @class(['tab', 'is-open' => $room === 'write']) @if ($room === 'write') aria-current="page" @endif>Write</a>
                <a href="{{ route('remember', $channel) }}" @class(['tab', 'is-open' => $room === 'remember']) @if ($room === 'remember') aria-current="page" @endif>Remember</a>
                <a href="{{ route('rehearse', $channel) }}" @class(['tab', 'is-open' => $room === 'rehearse']) @if ($room === 'rehearse') aria-current="page" @endif>Rehearse</a>
                <a href="{{ route('publish', $channel) }}" @class(['tab', 'is-open' => $room === 'publish']) @if ($room === 'publish') aria-current="page" @endif>Publish <span id="waiting-changes" class="count"></span></a>
            </nav>
        @endif
        <div class="notices" role="status" aria-live="polite">
            <div id="notice">@include('partials.notice', ['notice' => session('notice'), 'undo' => session('undo')])</div>
            <p class="notice is-finding" id="lost-session" hidden>Your session has ended. What you typed is kept on this machine: <a href="{{ $address }}">sign in again</a> and restore it.</p>
        </div>
        <button type="button" class="quiet" data-theme-switch aria-label="Light or dark"><span aria-hidden="true">◐</span></button>
        <button type="button" class="quiet" data-help aria-label="Keys and help"><span aria-hidden="true">?</span></button>
        @auth
            <details class="me">
                <summary>{{ auth()->user()->name }}</summary>
                <div class="me-sheet">
                    <a href="{{ route('account') }}">Account</a>
                    <a href="{{ route('channels') }}">Channels</a>
                    @if ($channel)@can('manage', $channel)<a href="{{ route('members', $channel) }}">Members</a>@endcan @endif
                    <form method="post" action="{{ route('sign-out') }}" data-sign-out>@csrf<button class="as-link">Sign out</button></form>
                </div>
            </details>
        @endauth
    </header>
    {{ $slot }}
    @auth
        <dialog id="sign-out" class="sheet" aria-labelledby="sign-out-title">
            <h2 id="sign-out-title">Sign out and discard?</h2>
            <p><span data-count></span> on this machine that was never saved. Signing out discards it.</p>
            <form method="dialog"><button class="plain" value="stay" autofocus>Stay signed in</button> <button class="strong" value="clear">Discard and sign out</button></form>
        </dialog>
    @endauth
    <dialog id="help" class="sheet" aria-labelledby="help-title">
        <h2 id="help-title">Help</h2>
        @if ($channel)<p><a href="{{ route('write.help', $channel) }}">How to write a response: ten examples, and everything a slot can hold</a></p>@endif
        <h3>Keys</h3>
        <dl>
            <div><dt><kbd>/</kbd></dt><dd>search the commands</dd></div>
            <div><dt><kbd>n</kbd></dt><dd>write a new command</dd></div>
            <div><dt><kbd>Ctrl</kbd> <kbd>S</kbd></dt><dd>save</dd></div>
            <div><dt><kbd>Ctrl</kbd> <kbd>Enter</kbd></dt><dd>from the text to the chat, and back</dd></div>
            <div><dt><kbd>↑</kbd> <kbd>↓</kbd></dt><dd>in the chat: from line to line, each with its why</dd></div>
            <div><dt><kbd>?</kbd></dt><dd>this sheet</dd></div>
        </dl>
        <form method="dialog"><button class="plain">Close</button></form>
    </dialog>
</body>
</html>
