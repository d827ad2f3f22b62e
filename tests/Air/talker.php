<?php

declare(strict_types=1);

// The talker, with a kill in it: php talker.php POINT N PID. At the N-th time that it comes to POINT on the way of an
// answer, the process PID is killed hard; 0 is the talker itself. Nothing in the talker knows of this: it hangs on the
// connection.

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

use App\Air\Air;
use App\Air\AirSettings;
use App\Publish\Editions;
use App\Publish\FromChat\CarryOut;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionCommitting;
use SilverParrot\Source\Wording;

[, $point, $times, $pid] = $argv + [1 => '', 2 => '0', 3 => '0'];
$connection = $app->make('db')->connection();
$left = (int) $times;
$at = static function (string $here) use ($point, &$left, $pid): void {
    if ($here === $point && --$left === 0) {
        posix_kill((int) $pid === 0 ? getmypid() : (int) $pid, SIGKILL);
        // A kill of another process is not felt at once.
        usleep(50_000);
    }
};
// Turns that keep who was seen, or which stream runs, take the same way; only those that answer a line count.
$answers = false;
// What is carried out after the commit of its turn.
$effects = false;
// Kept as handed on in the commit of its turn; what had to wait is marked by a statement of its own.
$taken = false;
$written = '';
$connection->beforeExecuting(static function (string $query, array $bindings) use (
    $at,
    &$answers,
    &$effects,
    &$taken,
    &$written,
): void {
    if ($written !== '') {
        [$here, $written] = [$written, ''];
        $at($here);
    }
    if (
        str_starts_with($query, 'INSERT INTO heard_events')
        && preg_match('/^(tally|stream) /', (string) $bindings[1]) === 0
    ) {
        $at('before-key');
    }
    if (str_starts_with($query, 'INSERT INTO effects')) {
        $effects = true;
    }
    if (str_starts_with($query, 'insert into `editions`')) {
        $at('in-edition');
    }
    if (str_starts_with($query, 'INSERT INTO outgoing')) {
        $answers = true;
        $taken = str_contains($query, 'handed_at');
    }
});
$events = $app->make('events');
$events->listen(static function (TransactionCommitting $event) use ($at, &$answers): void {
    $answers && $at('before-commit');
});
$events->listen(static function (TransactionCommitted $event) use (
    $at,
    &$answers,
    &$effects,
    &$taken,
    &$written,
): void {
    if ($effects) {
        $effects = false;
        $at('after-effect');
    }
    if ($answers) {
        $answers = false;
        $at('after-commit');
        $written = $taken ? 'after-write' : '';
    }
});
$events->listen(static function (QueryExecuted $event) use ($at, &$written): void {
    if (str_starts_with($event->sql, 'UPDATE outgoing JOIN channels')) {
        $at('waited-after-handed');
        $written = 'waited-after-write';
    }
});
$air = new Air(
    $connection,
    $app->make(Editions::class),
    AirSettings::of($app->make('config')),
    $app->make(Wording::class),
    $app->make(CarryOut::class),
);
$air->run(null);
