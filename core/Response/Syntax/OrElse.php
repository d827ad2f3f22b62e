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
        $left = $this->left->evaluate($run);
        if ($left === null) {
            return $this->right->evaluate($run);
        }
        if ($left instanceof Gap) {
            // What is not fetched yet may still turn out to be there.
            return $left->isPending() ? $left : $this->right->evaluate($run);
        }

        return Truth::of($left) ? $left : $this->right->evaluate($run);
    }

    public function prepared(): Closure
    {
        [$left, $right] = [Preparing::value($this->left), Preparing::value($this->right)];
        if ($this->right instanceof Literal) {
            $else = $this->right->value;

            return static function (Run $run) use ($left, $else): null|bool|int|string|Value {
                $value = $left($run);

                return $value === null || (! Truth::of($value) && ! ($value instanceof Gap && $value->isPending())) ? $else : $value;
            };
        }

        return static function (Run $run) use ($left, $right): null|bool|int|string|Value {
            $value = $left($run);

            return match (true) {
                $value === null => $right($run),
                $value instanceof Gap => $value->isPending() ? $value : $right($run),
                default => Truth::of($value) ? $value : $right($run),
            };
        };
    }
}
