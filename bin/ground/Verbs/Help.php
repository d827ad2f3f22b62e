<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Cli;
use Ground\Paths;
use Ground\Terminal;
use Ground\Trouble;
use Ground\Verb;

final readonly class Help implements Verb
{
    public const SENTENCE = 'this page';

    public const OPTIONS = [];

    public function __construct(Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $this->terminal->say("Silver Parrot: write the commands of a chat, rehearse them, publish only what held.\n");
        foreach (Cli::VERBS as $name => $class) {
            $this->terminal->say(sprintf('bin/parrot %-6s %s', $name, $class::SENTENCE));
            foreach ($class::OPTIONS as $option => $sentence) {
                $this->terminal->say(sprintf('           %-10s %s', $option, $sentence));
            }
        }
        $this->terminal->say("\nPARROT_HOME=folder keeps data, settings and logs of an instance in that folder.");
        $this->terminal->say(
            sprintf(
                'Exit codes: 0 done, %d something unforeseen or a failed test, %d not understood, %d port taken, %d '
                    .'no rights, %d another start under way, %d disk full, %d settings broken, %d not ready in time, '
                    .'%d not installed.',
                Trouble::GENERAL,
                Trouble::USAGE,
                Trouble::PORT_TAKEN,
                Trouble::NO_RIGHTS,
                Trouble::ALREADY_STARTING,
                Trouble::DISK_FULL,
                Trouble::BROKEN_SETTINGS,
                Trouble::NOT_READY,
                Trouble::INSTALL_FAILED,
            ),
        );

        return 0;
    }
}
