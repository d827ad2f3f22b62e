<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

use SilverParrot\Memory\Key;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;

/** A name that reads of memory: its keys are asked for before anything is evaluated, so that they come in one round. */
interface Remembering
{
    /** Whether this use of it can read anything; known without a line. */
    public function mayRead(Call $call): bool;

    /** @return list<Key> as far as they are known before anything is evaluated */
    public function reads(Call $call, EvaluationContext $run): array;
}
