<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** `either "port", "starboard"`: one of them, each equally likely; the others are not looked at. */
final readonly class Either implements Expression, Prepares
{
    /** @param  non-empty-list<Expression>  $options */
    public function __construct(private Span $span, public array $options)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): null|bool|int|string|Value
    {
        return $this->options[$run->draw($this->span)->getInt(0, count($this->options) - 1)]->evaluate($run);
    }

    public function prepared(): Closure
    {
        $last = count($this->options) - 1;
        $span = $this->span;
        $values = $this->written();
        if ($values !== null) {
            return static fn (Run $run): null|bool|int|string|Value => $values[$run->draw($span)->getInt(0, $last)];
        }
        $options = array_map(Preparing::value(...), $this->options);

        return static fn (Run $run): null|bool|int|string|Value => $options[$run->draw($span)->getInt(0, $last)]($run);
    }

    /** @return non-empty-list<null|bool|int|string|Value>|null the values, where all are written out */
    private function written(): ?array
    {
        $values = [];
        foreach ($this->options as $option) {
            if (! $option instanceof Literal) {
                return null;
            }
            $values[] = $option->value;
        }

        return $values;
    }
}
