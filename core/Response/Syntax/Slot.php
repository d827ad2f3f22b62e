<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\LengthBounds;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/** A bracketed part that is filled in when the response is said. */
final readonly class Slot extends Filled
{
    /** @param  string  $as the name that the value is given for the rest of the response, folded; empty for none */
    public function __construct(public Span $span, public Expression $value, public bool $isQuiet, public string $as)
    {
    }

    public function prepared(): Closure
    {
        $of = $this->value->prepared();
        if ($this->as === '' && ! $this->isQuiet) {
            return $of;
        }

        return function (EvaluationContext $run) use ($of): null|bool|int|string|Value|RenderedResponse {
            $value = $of($run);
            if ($value instanceof Gap && ($this->as === '' || ! $this->isQuiet)) {
                return $value;
            }
            if ($this->as !== '') {
                $run->bind($this->as, $value);
            }
            if (! $this->isQuiet) {
                return $value;
            }
            $run->trace?->slot($this->span, '', $value);

            return new RenderedResponse;
        };
    }

    public function extent(EstimateContext $in): LengthBounds
    {
        return $in->slot($this);
    }

    public function values(): array
    {
        return [$this->value];
    }
}
