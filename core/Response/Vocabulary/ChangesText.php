<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

use SilverParrot\Response\Evaluation\EvaluationContext;

/** A filter without arguments that changes texts: nearly all values are one, so it is asked for that directly. */
interface ChangesText extends Filter
{
    public function change(string $text, EvaluationContext $run): string;
}
