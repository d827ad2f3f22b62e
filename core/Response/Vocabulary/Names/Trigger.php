<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;

final readonly class Trigger extends SimpleName
{
    public function describe(): Description
    {
        return new Description(
            'trigger',
            '',
            'a text',
            '[trigger]',
            'The word that triggered the command, as it was typed.',
        );
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return ValueEstimate::oneOf(...$in->triggers);
    }

    public function prepared(Call $call): Closure
    {
        return static fn (EvaluationContext $run): ?string => $run->scene->trigger === '' ? null : $run->scene->trigger;
    }

    public function saysOwnText(): bool
    {
        return true;
    }
}
