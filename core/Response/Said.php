<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Memory\Change;
use SilverParrot\Response\Evaluation\Spoken;

/** What came of saying a response. */
final readonly class Said
{
    /** @param  list<Change>  $changes */
    public function __construct(public Spoken $spoken, public array $changes)
    {
    }
}
