<?php

declare(strict_types=1);

// Puts each fault of faults.diff into a copy of the core and runs the suite of the core on it: it must turn red.
// php tests/Faults/run.php [part of a fault's name]

namespace Tests\Faults;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$project = dirname(__DIR__, 2);
$wanted = $argv[1] ?? '';
$faults = [];
foreach (array_slice(preg_split('/^@@ /m', (string) file_get_contents(__DIR__.'/faults.diff')) ?: [], 1) as $block) {
    [$head, $from, $to] = explode("\n", rtrim($block, "\n"), 3) + [1 => '', 2 => ''];
    [$file, $what] = explode(': ', $head, 2) + [1 => ''];
    if ($wanted === '' || str_contains($head, $wanted)) {
        $faults[] = [$file, $what, substr($from, 1), substr($to, 1)];
    }
}

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
        [$file, $what, $from, $to] = array_shift($left);
        $text = (string) file_get_contents("$project/$file");
        if (substr_count($text, $from) !== 1) {
            $missed[] = "$file: $what (“{$from}” stands there ".substr_count($text, $from).' times, not once)';

            continue;
        }
        $core = sys_get_temp_dir().'/parrot-fault-'.bin2hex(random_bytes(4));
        exec('cp -r '.escapeshellarg("$project/core").' '.escapeshellarg($core));
        file_put_contents($core.substr($file, strlen('core')), str_replace($from, $to, $text));
        $running[] = [$start($core), $core, "$file: $what"];
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
