<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;

final readonly class Message extends SimpleName
{
    public function describe(): Description
    {
        return new Description('message', '', 'a text', '[message]', 'The whole line, as it was typed.');
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return ValueEstimate::text(1, $in->line())
            ->typed()
            ->neverReadAs(ValueKind::YesNo, ValueKind::Number, ValueKind::TimeSpan, ValueKind::Moment);
    }

    public function prepared(Call $call): Closure
    {
        return static fn (EvaluationContext $run): ?string => $run->scene->message === '' ? null : $run->scene->message;
    }

    public function readsLine(): bool
    {
        return true;
    }
}
