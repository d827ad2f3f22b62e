<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Packages\Composer;
use Ground\Packages\Debian;
use Ground\Paths;
use Ground\Shell;
use Ground\Terminal;
use Ground\TestDatabase;
use Ground\Verb;

/** The pictures in the documentation, always of the demo. */
final readonly class Shots implements Verb
{
    public const SENTENCE = 'make docs/screenshots/ anew from the demo';

    public const OPTIONS = [];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $this->paths->make();
        (new Debian($this->paths, $this->terminal))->install(Debian::TO_TEST, withoutAsking: true);
        (new Composer($this->paths, $this->terminal))->install(withTools: true);
        $database = TestDatabase::start($this->paths);
        try {
            [$code] = Shell::run(
                [PHP_BINARY, $this->paths->project.'/vendor/bin/phpunit', '--testsuite', 'shots', '--colors=never'],
                $this->paths->project,
                $database->environment() + ['PARROT_SHOTS' => $this->paths->project.'/docs/screenshots'],
                heard: $this->terminal->say(...),
            );
        } finally {
            $database->end();
        }

        return $code;
    }
}
