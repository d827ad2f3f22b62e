<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;

/** `a and b`: whether there is a value on both sides. */
final readonly class AndAlso extends Expression
{
    public function __construct(public Expression $left, public Expression $right)
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
        [$left, $right] = [$this->left->prepared(), $this->right->prepared()];

        return static function (EvaluationContext $run) use ($left, $right): bool|Gap {
            $one = $left($run);
            if ($one instanceof Gap || ! Truth::of($one)) {
                return $one instanceof Gap ? $one : false;
            }
            $other = $right($run);

            return $other instanceof Gap ? $other : Truth::of($other);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $left = $in->value($this->left);

        return $in->lengths->yesNo()->orGap(...$left->gaps, ...$in->value($this->right)->gaps)->failing($left->fails);
    }

    public function thereWhen(bool $holds): array
    {
        [$left, $right] = [$this->left->thereWhen($holds), $this->right->thereWhen($holds)];

        return $holds ? [...$left, ...$right] : array_values(array_intersect($left, $right));
    }
}
