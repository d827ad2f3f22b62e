<?php

declare(strict_types=1);

// For PHP's own web server: what ships with the application is answered here, with headers; all else by the
// application. A server for the public does the same by its own settings (docs/running.md).

$kinds = [
    'css' => 'text/css',
    'js' => 'text/javascript',
    'svg' => 'image/svg+xml',
    'txt' => 'text/plain',
    'woff2' => 'font/woff2',
];
$public = realpath(getcwd() ?: '.');
$asked = parse_url(is_string($_SERVER['REQUEST_URI'] ?? null) ? $_SERVER['REQUEST_URI'] : '/', PHP_URL_PATH);
$path = rawurldecode(is_string($asked) ? $asked : '/');
$file = str_contains($path, "\0") ? false : realpath($public.$path);
$kind = $file === false ? null : $kinds[pathinfo($file, PATHINFO_EXTENSION)] ?? null;
if ($file !== false && $kind !== null && is_file($file) && str_starts_with($file, $public.'/assets/')) {
    header("Content-Type: $kind; charset=utf-8");
    header('Content-Length: '.filesize($file));
    header('Cache-Control: public, max-age=31536000, immutable');
    header('X-Content-Type-Options: nosniff');
    header("Content-Security-Policy: default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'");
    header('Referrer-Policy: same-origin');
    header('Cross-Origin-Resource-Policy: same-origin');
    if (($_SERVER['REQUEST_METHOD'] ?? '') !== 'HEAD') {
        readfile($file);
    }

    return true;
}
// Whatever was asked for, the application looks at the path alone.
$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = $public.'/index.php';

require $public.'/index.php';

return true;
