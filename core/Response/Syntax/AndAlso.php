<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;

/** `a and b`: whether there is a value on both sides. */
final readonly class AndAlso implements Expression
{
    public function __construct(public Expression $left, public Expression $right)
    {
    }

    public function span(): Span
    {
        return $this->left->span()->through($this->right->span());
    }

    public function evaluate(Run $run): bool|Gap
    {
        $left = $this->left->evaluate($run);
        if ($left instanceof Gap || ! Truth::of($left)) {
            return $left instanceof Gap ? $left : false;
        }
        $right = $this->right->evaluate($run);

        return $right instanceof Gap ? $right : Truth::of($right);
    }
}
