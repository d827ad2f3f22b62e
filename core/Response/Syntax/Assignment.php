<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Verb;
use SilverParrot\Response\Vocabulary\Writable;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/** `add 1 to counter.planks`: its value is what is kept afterwards. */
final readonly class Assignment extends Expression
{
    /** @param  Call  $place of a name that is a Writable */
    public function __construct(private Span $span, public Verb $verb, public ?Expression $amount, public Call $place)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return [...($this->amount === null ? [] : [$this->amount]), $this->place];
    }

    public function prepared(): Closure
    {
        [$span, $verb, $place, $of] = [$this->span, $this->verb, $this->place, $this->amount?->prepared()];
        $name = $place->name;

        return static function (EvaluationContext $run) use (
            $span,
            $verb,
            $place,
            $of,
            $name,
        ): null|bool|int|string|Value {
            $amount = $of === null ? null : $of($run);
            if ($amount instanceof Gap) {
                throw EvaluationFailure::gap($amount, $span);
            }
            $cell = $name instanceof Writable ? $name->cell($place, $run) : null;
            if ($cell === null || $cell instanceof Gap) {
                throw $cell === null ? EvaluationFailure::unreadable($span) : EvaluationFailure::gap($cell, $span);
            }

            return $verb->apply($cell, $amount, $span);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $amount = $this->amount === null ? null : $in->value($this->amount);
        $kept = $this->verb->estimate($this->place->name->estimate($this->place, $in)->withoutGaps(), $amount);
        $in->keep($this->place, $this->place->folded[count($this->place->folded) - 1], $kept);

        return $kept;
    }

    public function check(Pack $pack): array
    {
        $name = $this->place->name;

        return $name instanceof Writable
            && ! $name->canBeWritten($this->place, $pack)
            && $this->place->check($pack) === []
            ? [
                new Finding(
                    SyntaxErrorCode::CannotBeChanged,
                    $this->place->span(),
                    data: ['name' => implode('.', $this->place->path)],
                ),
            ]
            : [];
    }

    public function needs(): array
    {
        $keys = [...NonNullFacts::with($this->amount?->key()), ...NonNullFacts::with($this->place->for?->key())];

        return $this->place->folded[0] === 'target' ? [...$keys, ...NonNullFacts::with('target')] : $keys;
    }

    public function countsWith(): array
    {
        $key = $this->verb->counts() ? $this->amount?->key() : null;

        return $key === null ? [] : [$key];
    }
}
