<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Said;
use SilverParrot\Response\Evaluation\ValueLimits;
use SilverParrot\Response\Origin;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

use function is_string;

/** Parts made ready to be said often: what the author wrote, with blanks, and a closure for each blank. */
final readonly class Row
{
    /**
     * @param  array<int, string>  $pieces  the author's texts, and nothing at each blank
     * @param  array<int, Closure(EvaluationContext): (null|bool|int|string|Value|RenderedResponse)>  $fills  by the
     *     place of their blank
     * @param  array<int, Span>  $spans  of slots, by place
     * @param  array<int, Origin>  $origins  of what is said, by place
     */
    private function __construct(
        private array $pieces,
        private array $fills,
        private array $spans,
        public array $origins,
    ) {
    }

    /** @param  list<Part>  $parts */
    public static function of(array $parts): self
    {
        [$pieces, $fills, $spans, $origins] = [[], [], [], []];
        foreach ($parts as $at => $part) {
            $pieces[$at] = $part instanceof Text ? $part->text : '';
            $origins[$at] = $part instanceof Text ? Origin::Author : Origin::People;
            if ($part instanceof Filled) {
                $fills[$at] = $part->prepared();
            }
            if ($part instanceof Slot) {
                $spans[$at] = $part->span;
                $origins[$at] = $part->value->saysOwnText() ? Origin::Pack : Origin::People;
            }
        }

        return new self($pieces, $fills, $spans, $origins);
    }

    /**
     * @return array<int, string|RenderedResponse> as RenderedResponse takes it
     *
     * @throws EvaluationFailure
     */
    public function fill(EvaluationContext $run): array
    {
        $pieces = $this->pieces;
        $trace = $run->trace;
        foreach ($this->fills as $at => $fill) {
            $run->beginSlot();
            $value = $fill($run);
            // Texts and people are nearly all there is.
            if (is_string($value)) {
                $pieces[$at] = $run->isMadeOfOthers() ? new RenderedResponse([$value]) : $value;
            } else {
                $pieces[$at] = $value instanceof Person ? $value->name : $this->printed($value, $at, $run);
            }
            if ($trace !== null && ! $value instanceof RenderedResponse) {
                $trace->slot($this->spans[$at], (string) $pieces[$at], $value);
            }
        }

        return $pieces;
    }

    private function printed(
        null|bool|int|Value|RenderedResponse $value,
        int $at,
        EvaluationContext $run,
    ): string|RenderedResponse {
        if ($value instanceof RenderedResponse || $value instanceof Said) {
            return $value instanceof Said ? $value->rendered : $value;
        }
        $text = $value instanceof Gap ? '' : $run->print($value);
        $gap = $value instanceof Gap ? $value : null;
        if (ValueLimits::isTooLong($text)) {
            $gap = ValueLimits::tooLong();
        }
        if ($gap !== null) {
            $run->trace?->slot($this->spans[$at], null, $gap);
            throw EvaluationFailure::gap($gap, $this->spans[$at]);
        }

        return $text;
    }
}
