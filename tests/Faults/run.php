<?php

declare(strict_types=1);

// Puts each fault of faults.diff into a copy of the sources and runs the tests that must notice: they must turn red.
// php tests/Faults/run.php [--eighth=seed] [--at-once=2] [part of a fault's name]

namespace Tests\Faults;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$project = dirname(__DIR__, 2);
$eighth = $wanted = '';
$atOnce = 2;
foreach (array_slice($argv, 1) as $argument) {
    match (true) {
        str_starts_with($argument, '--eighth=') => $eighth = substr($argument, 9),
        str_starts_with($argument, '--at-once=') => $atOnce = max(1, (int) substr($argument, 10)),
        default => $wanted = $argument,
    };
}
$faults = array_values(
    array_filter(
        $eighth === '' ? Fault::all() : Fault::eighth($eighth),
        static fn (Fault $fault): bool => $wanted === '' || str_contains($fault->name(), $wanted),
    ),
);

/**
 * @param  list<string>  $tests  arguments of PHPUnit
 * @return resource run on sources of their own
 */
$start = static function (array $tests, string $sources) use ($project) {
    $process = proc_open(
        [
            PHP_BINARY,
            '-d',
            'pcov.enabled=0',
            '-d',
            'memory_limit=1G',
            "$project/vendor/bin/phpunit",
            ...$tests,
            '--stop-on-defect',
            '--no-progress',
            '--bootstrap',
            __DIR__.'/bootstrap.php',
            '--do-not-cache-result',
        ],
        [['file', '/dev/null', 'r'], ['file', "$sources.log", 'w'], ['redirect', 1]],
        $pipes,
        $project,
        ['PARROT_FAULTY' => $sources, 'DB_DATABASE' => getenv('DB_BESIDE') ?: getenv('DB_DATABASE')] + getenv(),
    );

    return is_resource($process) ? $process : throw new \RuntimeException('The suite could not be started.');
};

$left = $faults;
$running = [];
$missed = [];
$begun = microtime(true);
while ($left !== [] || $running !== []) {
    foreach ($left as $place => $fault) {
        // The tests of the application share a database, so one at a time.
        $waits =
            $fault->isOfTheApplication()
            && array_filter($running, static fn (array $one): bool => $one[2]->isOfTheApplication()) !== [];
        if (count($running) >= $atOnce || $waits) {
            continue;
        }
        unset($left[$place]);
        $text = $fault->in($project);
        if ($text === null) {
            $missed[] = "{$fault->name()} (its line is not there any more)";

            continue;
        }
        $sources = sys_get_temp_dir().'/parrot-fault-'.bin2hex(random_bytes(4));
        exec(
            'mkdir '
                .escapeshellarg($sources)
                .' && cp -r '
                .escapeshellarg("$project/core")
                .' '
                .escapeshellarg("$project/app")
                .' '
                .escapeshellarg($sources),
        );
        file_put_contents("$sources/{$fault->file}", $text);
        $places = $fault->lookedForBy($project);
        $running[] = [$start(array_shift($places), $sources), $sources, $fault, $places];
    }
    foreach ($running as $place => [$process, $sources, $fault, $places]) {
        $status = proc_get_status($process);
        if (! $status['running'] && $status['exitcode'] === 0 && $places !== []) {
            $running[$place] = [$start(array_shift($places), $sources), $sources, $fault, $places];
        } elseif (! $status['running']) {
            unset($running[$place]);
            $log = (string) file_get_contents("$sources.log");
            // A fault that cannot even be read by PHP would prove nothing.
            $isRed =
                in_array($status['exitcode'], [1, 2], true)
                && preg_match('/(?:FAILURES|ERRORS)!/', $log) === 1
                && ! str_contains($log, 'ParseError')
                && ! str_contains($log, 'TypeError')
                && ! str_contains($log, 'Connection refused');
            echo $isRed ? 'red     ' : 'MISSED  ', $fault->name(), "\n";
            if (! $isRed) {
                $missed[] = $fault->name();
                echo substr($log, -1500), "\n";
            }
            exec('rm -rf -- '.escapeshellarg($sources).' '.escapeshellarg("$sources.log"));
        }
    }
    usleep(50_000);
}
printf(
    "%d faults, %d missed, %.0f s%s\n",
    count($faults),
    count($missed),
    microtime(true) - $begun,
    $eighth === '' ? '' : ", the eighth of $eighth",
);
foreach ($missed as $name) {
    echo "not noticed: $name\n";
}
exit($missed === [] ? 0 : 1);
