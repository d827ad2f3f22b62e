<?php

declare(strict_types=1);

use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', health: '/up')
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
    })
    ->withExceptions(function (Exceptions $exceptions): void {
    })
    ->create();

// An instance of its own, beside the project's: settings, logs and sessions in the folder that bin/parrot was given.
$home = getenv('PARROT_HOME');
if (is_string($home) && $home !== '') {
    $app->useEnvironmentPath($home);
    $app->useStoragePath($home.'/storage');
}

return $app;
