<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Packages\Composer;
use Ground\Paths;
use Ground\Shell;
use Ground\Terminal;
use Ground\Verb;

/** Ratios, not seconds: subject and reference in turn on the same machine. */
final readonly class Bench implements Verb
{
    public const SENTENCE = 'print the benchmark’s ratios';

    public const OPTIONS = ['--rounds=' => 'rounds, medians of which are printed (9)'];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $this->paths->make();
        (new Composer($this->paths, $this->terminal))->install(withTools: true);
        // JIT off and no coverage, so that figures compare between machines.
        $php = [PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=disable', '-d', 'pcov.enabled=0'];

        return Shell::run([...$php, $this->paths->project.'/tests/Bench/run.php', $arguments->text('--rounds') ?? '9'], $this->paths->project, heard: $this->terminal->say(...))[0];
    }
}
