<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Sum;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Source\Span;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Value;

/** `a + b`, `a / b` … */
final readonly class Arithmetic extends Expression
{
    public function __construct(public Operation $operation, public Expression $left, public Expression $right)
    {
    }

    public function span(): Span
    {
        return $this->left->span()->through($this->right->span());
    }

    public function children(): array
    {
        return [$this->left, $this->right];
    }

    public function prepared(): Closure
    {
        [$operation, $left, $right] = [$this->operation, $this->left->prepared(), $this->right->prepared()];

        return static function (EvaluationContext $run) use ($operation, $left, $right): int|Value {
            $one = $left($run);
            $other = $right($run);

            return $one instanceof Moment
                ? Numbers::shifted($operation, $one, $other, $run->world->pack->channel->zone)
                : Numbers::combine($operation, $one, $other);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        return Sum::of($this->operation, $in->value($this->left), $in->value($this->right), $in);
    }
}
