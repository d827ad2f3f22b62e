<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Verbs\Assignable;
use SilverParrot\Value\Gap;

/** A name behind which something can be changed. */
interface Writable
{
    /** Whether this use of the name is one that can be: `caller.boat` can, `caller.name` cannot. */
    public function canBeWritten(Call $call, Pack $pack): bool;

    public function cell(Call $call, EvaluationContext $run): Assignable|Gap;
}
