<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Pack\Step as PackStep;
use SilverParrot\Response\Evaluation\EvaluationFailure;

/** One thing that happens when a command is set off. A new one is one class and one line in StepFormat. */
interface Step extends PackStep
{
    /** Pure; null while something is not fetched yet, which the stage has noted. */
    public function run(Stage $stage): Ran|EvaluationFailure|null;
}
