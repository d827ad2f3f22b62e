<?php

declare(strict_types=1);

use App\Accounts\SecurityHeaders;
use App\Accounts\SessionEnded;
use App\Accounts\StartSession;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Session\Middleware\StartSession as LaravelStartSession;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', health: '/up')
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->web(append: [SecurityHeaders::class], replace: [LaravelStartSession::class => StartSession::class]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
        // Responses are kept to the letter, blanks at their ends too.
        $middleware->trimStrings(except: [fn (): bool => request()->is('channels/*')]);
        $middleware->convertEmptyStringsToNull(except: [fn (): bool => request()->is('channels/*')]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->render(new SessionEnded);
    })
    ->create();

// An instance of its own, beside the project's: settings, logs and sessions in the folder that bin/parrot was given.
$home = getenv('PARROT_HOME');
if (is_string($home) && $home !== '') {
    $app->useEnvironmentPath($home);
    $app->useStoragePath($home.'/storage');
}

return $app;
