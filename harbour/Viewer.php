<?php

declare(strict_types=1);

namespace Harbour;

/** One of the simulated people in the harbour's chat. */
final readonly class Viewer
{
    /** @param  list<string>  $levels */
    public function __construct(public string $login, public string $name, public array $levels)
    {
    }
}
