<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Direct;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Name;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** A use of a name: `caller`, `counter.planks for target`, `list.knots 3`. */
final readonly class Call implements Expression, Prepares
{
    /**
     * @param  list<string>  $path  as typed; the first is the name's own
     * @param  list<string>  $folded  the same, for comparing
     * @param  list<Expression>  $operands
     * @param  array<string, Expression>  $named  by folded name
     */
    public function __construct(
        private Span $span,
        public Name $name,
        public array $path,
        public array $folded,
        public array $operands = [],
        public array $named = [],
        public ?Expression $for = null,
    ) {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): null|bool|int|string|Value
    {
        return $this->name->value($this, $run);
    }

    public function prepared(): Closure
    {
        $name = $this->name;

        return ($name instanceof Direct ? $name->direct($this) : null) ?? fn (Run $run): null|bool|int|string|Value => $name->value($this, $run);
    }

    public function isPlain(): bool
    {
        return $this->operands === [] && $this->named === [] && $this->for === null;
    }
}
