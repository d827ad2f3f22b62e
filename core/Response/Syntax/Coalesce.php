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
use SilverParrot\Value\Value;

/** `a or b`: a where there is one, else b. */
final readonly class Coalesce extends Expression
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
        $left = $this->left->prepared();
        $right = $this->right->prepared();
        $span = $this->right->span();

        return static function (EvaluationContext $run) use ($left, $right, $span): null|bool|int|string|Value {
            $value = $left($run);
            if ($value !== null && self::stands($value)) {
                return $value;
            }
            $run->trace?->took($span);

            return $right($run);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $left = $in->value($this->left);
        if ($left->fails !== null) {
            return $in->value($this->right);
        }
        if (! $left->mayBeNoValue()) {
            return $left;
        }
        $right = $in->value($this->right);

        return $left->kinds === [] ? $right : $left->known()->orElse($right);
    }

    public function thereWhen(bool $holds): array
    {
        [$left, $right] = [$this->left->thereWhen($holds), $this->right->thereWhen($holds)];

        return $holds ? array_values(array_intersect($left, $right)) : [...$left, ...$right];
    }

    /** Whether there is a value, or may be: what is not fetched yet can still turn out to be there. */
    private static function stands(null|bool|int|string|Value $value): bool
    {
        return $value instanceof Gap ? $value->isPending() : Truth::of($value);
    }
}
