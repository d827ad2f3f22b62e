<?php

declare(strict_types=1);

// Ratios of the subject's CPU time to a reference's, in turn in one process, medians over the rounds. Subject and
// reference are checked to give the same text before anything is timed. Run by `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

$rounds = max(7, (int) ($argv[1] ?? 9));
/**
 * @var list<array{string, float, int, callable(): string, callable(): string}> $cases what, the most that the ratio may
 *     be, how often, subject, reference
 */
$cases = require __DIR__.'/cases.php';
printf(
    "PHP %s, opcache %s, JIT off, %d rounds, CPU time, medians\n",
    PHP_VERSION,
    ini_get('opcache.enable_cli') ? 'on' : 'off',
    $rounds,
);

foreach ($cases as [$name, $most, $repeat, $subject, $reference]) {
    if ($subject() !== $reference()) {
        fwrite(STDERR, "$name: subject and reference do not say the same: {$subject()} / {$reference()}\n");
        exit(1);
    }
    $ratios = [];
    for ($round = 0; $round <= $rounds; $round++) {
        $spent = [];
        foreach ($round % 2 === 0 ? ['subject', 'reference'] : ['reference', 'subject'] as $side) {
            $start = getrusage();
            for ($i = 0; $i < $repeat; $i++) {
                $$side();
            }
            $end = getrusage();
            $spent[$side] =
                ($end['ru_utime.tv_sec'] - $start['ru_utime.tv_sec']) * 1e6
                + $end['ru_utime.tv_usec']
                - $start['ru_utime.tv_usec']
                + ($end['ru_stime.tv_sec'] - $start['ru_stime.tv_sec']) * 1e6
                + $end['ru_stime.tv_usec']
                - $start['ru_stime.tv_usec'];
        }
        if ($round > 0) {
            $ratios[] = $spent['subject'] / max(1, $spent['reference']);
        }
    }
    sort($ratios);
    $median = $ratios[intdiv(count($ratios), 2)];
    printf(
        "%-60s %5.2f of at most %.2f%s  (%.2f to %.2f)\n",
        $name,
        $median,
        $most,
        $median > $most ? ', MISSED' : '',
        $ratios[0],
        $ratios[count($ratios) - 1],
    );
}
