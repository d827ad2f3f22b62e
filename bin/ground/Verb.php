<?php

declare(strict_types=1);

namespace Ground;

/** One thing that bin/parrot can be asked to do. */
interface Verb
{
    /** @var array<string, string> option as typed ("--port=") => what it does; a trailing "=" takes a value */
    public const OPTIONS = [];

    public const SENTENCE = '';

    public function __construct(Paths $paths, Terminal $terminal);

    /** @return int the exit code */
    public function run(Arguments $arguments): int;
}
