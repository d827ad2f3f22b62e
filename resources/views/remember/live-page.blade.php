<!doctype html>
<html lang="en" class="live">
<head>
    <meta charset="utf-8">
    <title>Live</title>
    <meta name="robots" content="noindex">
    <link rel="stylesheet" href="{{ asset('assets/app.css') }}?v={{ filemtime(public_path('assets/app.css')) }}">
    <script src="{{ asset('assets/live.js') }}?v={{ filemtime(public_path('assets/live.js')) }}" defer></script>
</head>
<body class="live"><output class="live-text" dir="auto" data-live="{{ route('live.text', $token) }}" @foreach ($look->parts() as $part => $value) data-{{ $part }}="{{ $value }}" @endforeach>{{ $text }}</output></body>
</html>
