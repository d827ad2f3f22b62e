<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Rehearsal\Coverage\Coverable;
use SilverParrot\Rehearsal\Scripts\ScriptResult;

/** A script that could be kept: what it says now stands as what is expected. */
final readonly class Suggestion
{
    /**
     * @param  string  $text  as a document
     * @param  ScriptResult  $result  what it came to
     * @param  list<Coverable>  $reaches  what none before it came to
     */
    public function __construct(public string $text, public ScriptResult $result, public array $reaches)
    {
    }

    public function title(): string
    {
        return $this->result->script->title;
    }
}
