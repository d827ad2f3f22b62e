<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Instance;
use Ground\Paths;
use Ground\Terminal;
use Ground\Verb;

/** Stops what `up` started for this home, and nothing else. */
final readonly class Down implements Verb
{
    public const SENTENCE = 'stop what up started, and nothing else';

    public const OPTIONS = [];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $this->terminal->say($this->stop() ? 'Silver Parrot has stopped.' : 'Silver Parrot was not running.');

        return 0;
    }

    public function stop(): bool
    {
        $was = Instance::isUp($this->paths) || Instance::servers($this->paths) !== [];
        Instance::supervisor($this->paths)?->end(40);
        Instance::clear($this->paths);

        return $was;
    }
}
