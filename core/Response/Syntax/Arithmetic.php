<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Value;

/** `a + b`, `a / b` … */
final readonly class Arithmetic implements Expression
{
    public function __construct(public Operation $operation, public Expression $left, public Expression $right)
    {
    }

    public function span(): Span
    {
        return $this->left->span()->through($this->right->span());
    }

    public function evaluate(Run $run): int|Value
    {
        $left = $this->left->evaluate($run);
        $right = $this->right->evaluate($run);

        return Numbers::combine($this->operation, $left, $right);
    }
}
