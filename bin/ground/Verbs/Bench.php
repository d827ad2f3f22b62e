<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Packages\Composer;
use Ground\Packages\Debian;
use Ground\Paths;
use Ground\Shell;
use Ground\Terminal;
use Ground\Verb;

/** Ratios, not seconds: subject and reference in turn on the same machine. */
final readonly class Bench implements Verb
{
    /** Of tests/Bench, in their order. */
    private const ALL = [
        'run',
        'cliffs',
        'pages',
        'latency',
        'air',
        'memory',
        'phrases',
        'lookups',
        'rehearsals',
        'beside',
    ];

    public const SENTENCE = 'print the benchmark’s ratios, how long the preview takes to follow a key, and the '
        .'talker’s figures';

    public const OPTIONS = ['--rounds=' => 'rounds, medians of which are printed (9)'];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $this->paths->make();
        (new Debian($this->paths, $this->terminal))->install(Debian::TO_TEST, withoutAsking: true);
        (new Composer($this->paths, $this->terminal))->install(withTools: true);
        // JIT off and no coverage, so that figures compare between machines.
        $php = [PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=disable', '-d', 'pcov.enabled=0'];
        $bench = $this->paths->project.'/tests/Bench';
        $worst = 0;
        foreach (self::ALL as $script) {
            $rounds = $script === 'run' ? [$arguments->text('--rounds') ?? '9'] : [];
            [$code] = Shell::run(
                [...$php, "$bench/$script.php", ...$rounds],
                $this->paths->project,
                heard: $this->terminal->say(...),
            );
            $worst = max($worst, $code);
        }

        return $worst;
    }
}
