<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Pack\ChangeRule;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Source\Span;

/** Whether who set the response off may change what it changes. */
final class MayChange
{
    /**
     * @param  string|null  $of  the id of the person whose it is; null where it is no viewer's
     * @param  string  $name  as it is written: "counter.spills"
     *
     * @throws EvaluationFailure where they may not
     */
    public static function orFail(
        ChangeRule $rule,
        ?string $of,
        string $name,
        EvaluationContext $run,
        Span $span,
    ): void {
        $by = $run->scene->caller;
        if (! $rule->admits($by, $of)) {
            $isForLevels = $by !== null && ! $rule->levels->admits($by->levels);
            throw EvaluationFailure::mayNotChange($name, $isForLevels ? $rule->levels->inWords() : '', $span);
        }
    }
}
