<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/** `a or b`: a where there is one, else b. */
final readonly class OrElse implements Expression, Prepares
{
    public function __construct(public Expression $left, public Expression $right)
    {
    }

    public function span(): Span
    {
        return $this->left->span()->through($this->right->span());
    }

    public function evaluate(Run $run): null|bool|int|string|Value
    {
        $value = $this->left->evaluate($run);

        return self::stands($value) ? $value : $this->right->evaluate($run);
    }

    public function prepared(): Closure
    {
        $left = Preparing::value($this->left);
        if ($this->right instanceof Literal) {
            $else = $this->right->value;

            return static fn (Run $run): null|bool|int|string|Value => ($value = $left($run)) !== null && self::stands($value) ? $value : $else;
        }
        $right = Preparing::value($this->right);

        return static fn (Run $run): null|bool|int|string|Value => self::stands($value = $left($run)) ? $value : $right($run);
    }

    /** Whether there is a value, or may be: what is not fetched yet can still turn out to be there. */
    private static function stands(null|bool|int|string|Value $value): bool
    {
        return $value instanceof Gap ? $value->isPending() : Truth::of($value);
    }
}
