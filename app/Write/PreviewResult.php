<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Outcome;

/** What the preview shows. */
final readonly class PreviewResult
{
    /**
     * @param  array<string, Outcome>  $edges  by what is at the edge: "without words"
     * @param  array<string, list<array<string, string|null>>>  $findings  by the text's place in the command: "responses/0/text"
     */
    public function __construct(public Person $caller, public Outcome $outcome, public array $edges, public array $findings)
    {
    }
}
