<?php

declare(strict_types=1);

namespace App\Console;

use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\Scripts\ScriptResult;

/** What one call of parrot:rehearse came to. */
final readonly class Rehearsed
{
    /**
     * @param  array<string, mixed>  $told  the report, whole
     * @param  list<Heard>  $heard  of a chat
     * @param  list<ScriptResult>  $results  of scripts
     */
    public function __construct(public array $told, public array $heard = [], public array $results = [])
    {
    }

    public function holds(): bool
    {
        return array_filter($this->results, static fn (ScriptResult $one): bool => ! $one->holds()) === [];
    }

    /** Whether several evenings were heard: there are figures of each, and their ranges. */
    public function isOfSeeds(): bool
    {
        return isset($this->told['runs']);
    }
}
