<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Response\Evaluation\Failed;

/** One thing that happens when a command is set off. A new one is one class and one line in StepFormat. */
interface Step
{
    /** @return array<string, string> its texts that are responses, by their place in it */
    public function sources(): array;

    /** @param  string  $place  of one of its sources */
    public function withSource(string $place, string $text): self;

    /** @return array<string, mixed> as a document keeps it */
    public function write(): array;

    /** Pure; null while something is not fetched yet, which the stage has noted. */
    public function run(Stage $stage): Ran|Failed|null;
}
