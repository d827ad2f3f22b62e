<?php

declare(strict_types=1);

use App\Accounts\SessionEnded;
use App\Border\OneAtATime;
use App\Border\QueryReport;
use App\Border\SameMoment;
use App\Border\SecurityHeaders;
use App\Border\StartSession;
use App\Border\TrustedHosts;
use App\Border\WellFormed;
use App\Models\EffectRow;
use App\Models\FetchedAnswer;
use App\Models\HandedSaying;
use App\Models\LoggedLine;
use App\Models\RehearsalRow;
use App\Models\TakenEvent;
use App\Rehearse\Evenings\LogFiles;
use App\Web\LookAtAddresses;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Session\Middleware\StartSession as LaravelStartSession;

// What is passed to functions can be what people wrote: it stands in no trace, and so in no log.
ini_set('zend.exception_ignore_args', '1');

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', health: '/up')
    ->withCommands([__DIR__.'/../app/Console'])
    ->withSchedule(function (Schedule $schedule): void {
        $models = [
            LoggedLine::class,
            TakenEvent::class,
            HandedSaying::class,
            EffectRow::class,
            FetchedAnswer::class,
            RehearsalRow::class,
        ];
        $schedule->command('model:prune', ['--model' => $models, '--chunk' => 2_000])->hourly()->withoutOverlapping(30);
        $schedule->call(LookAtAddresses::all(...))->hourly();
        $schedule->call(LogFiles::forgetOld(...))->daily();
        $schedule->command('queue:prune-failed', ['--hours' => 24 * 30])->daily();
    })
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->trustHosts(at: TrustedHosts::patterns(...), subdomains: false);
        $middleware->prepend([SecurityHeaders::class, WellFormed::class]);
        $middleware->web(replace: [LaravelStartSession::class => StartSession::class]);
        $middleware->alias(['one-at-a-time' => OneAtATime::class]);
        // Whoever's password was changed is signed out everywhere else.
        $middleware->authenticateSessions();
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
        // Responses are kept to the letter, blanks at their ends too.
        $middleware->trimStrings(except: [fn (): bool => request()->is('channels/*')]);
        $middleware->convertEmptyStringsToNull(except: [fn (): bool => request()->is('channels/*')]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['secret']);
        $exceptions->render(new SessionEnded);
        // A part of a page is never filled with the page for signing in.
        $exceptions->render(
            fn (AuthenticationException $ended, Request $request): ?Response => $request->hasHeader('HX-Request')
                ? response('', Response::HTTP_UNAUTHORIZED)
                : null,
        );
        $exceptions->render(new SameMoment);
        $exceptions->report(new QueryReport);
    })
    ->create();

// An instance of its own, beside the project's: settings, logs and sessions in the folder that bin/parrot was given.
$home = getenv('PARROT_HOME');
if (is_string($home) && $home !== '') {
    $app->useEnvironmentPath($home);
    $app->useStoragePath($home.'/storage');
}

return $app;
