<?php

declare(strict_types=1);

// Puts each fault of faults.diff into a copy of the core and runs the suite of the core on it: it must turn red.
// php tests/Faults/run.php [part of a fault's name]

namespace Tests\Faults;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$project = dirname(__DIR__, 2);
$wanted = $argv[1] ?? '';
$faults = array_values(array_filter(Fault::all(), static fn (Fault $fault): bool => $wanted === '' || str_contains($fault->name(), $wanted)));

/** @return resource the suite of the core, run on a core of its own */
$start = static function (string $core) use ($project) {
    $process = proc_open(
        [PHP_BINARY, "$project/vendor/bin/phpunit", '--testsuite=core', '--stop-on-defect', '--no-progress', '--bootstrap', __DIR__.'/bootstrap.php', '--do-not-cache-result'],
        [['file', '/dev/null', 'r'], ['file', "$core.log", 'w'], ['redirect', 1]], $pipes, $project, ['PARROT_CORE' => $core] + getenv(),
    );

    return is_resource($process) ? $process : throw new \RuntimeException('The suite could not be started.');
};

$left = $faults;
$running = [];
$missed = [];
$begun = microtime(true);
while ($left !== [] || $running !== []) {
    while ($left !== [] && count($running) < 2) {
        $fault = array_shift($left);
        $text = $fault->in($project);
        if ($text === null) {
            $missed[] = "{$fault->name()} (its line is not there any more)";

            continue;
        }
        $core = sys_get_temp_dir().'/parrot-fault-'.bin2hex(random_bytes(4));
        exec('cp -r '.escapeshellarg("$project/core").' '.escapeshellarg($core));
        file_put_contents($core.substr($fault->file, strlen('core')), $text);
        $running[] = [$start($core), $core, $fault->name()];
    }
    foreach ($running as $place => [$process, $core, $name]) {
        $status = proc_get_status($process);
        if (! $status['running']) {
            unset($running[$place]);
            $log = (string) file_get_contents("$core.log");
            // A fault that cannot even be read by PHP would prove nothing.
            $isRed = $status['exitcode'] === 1 && preg_match('/(?:FAILURES|ERRORS)!/', $log) === 1 && ! str_contains($log, 'ParseError') && ! str_contains($log, 'TypeError');
            echo $isRed ? 'red     ' : 'MISSED  ', $name, "\n";
            if (! $isRed) {
                $missed[] = $name;
            }
            exec('rm -rf -- '.escapeshellarg($core).' '.escapeshellarg("$core.log"));
        }
    }
    usleep(50_000);
}
printf("%d faults, %d missed, %.0f s\n", count($faults), count($missed), microtime(true) - $begun);
foreach ($missed as $one) {
    echo "not noticed: $one\n";
}
exit($missed === [] ? 0 : 1);
