<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;

/** `a is b`, `a is not one of b, c`, `a < b`, `a contains b`. */
final readonly class Comparison implements Expression
{
    /** @param  non-empty-list<Expression>  $right more than one for `one of` */
    public function __construct(public Relation $relation, public bool $isNegated, public Expression $left, public array $right)
    {
    }

    public function span(): Span
    {
        return $this->left->span()->through($this->right[count($this->right) - 1]->span());
    }

    public function evaluate(Run $run): bool|Gap
    {
        $left = $this->left->evaluate($run);
        $holds = false;
        foreach ($this->right as $expression) {
            $right = $expression->evaluate($run);
            // `is nothing` is the one comparison that ends a gap.
            $asksForNothing = $right === null && $this->relation === Relation::Is;
            if ($right instanceof Gap || ($left instanceof Gap && (! $asksForNothing || $left->isPending()))) {
                return $right instanceof Gap ? $right : $left;
            }
            if ($asksForNothing ? $left === null || $left instanceof Gap : $this->relation->holds($left, $right, $run)) {
                $holds = true;
                break;
            }
        }

        return $holds !== $this->isNegated;
    }
}
