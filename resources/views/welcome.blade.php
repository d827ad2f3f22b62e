<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><title>Silver Parrot</title></head>
<body><h1>Silver Parrot</h1>@if (session('notice'))<p>{{ session('notice') }}</p>@endif@auth<p>Ahoy {{ auth()->user()->name }}.</p>@endauth</body>
</html>
