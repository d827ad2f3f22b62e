<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Many;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Source\Suggestions;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\ListValue;

/** `top 5 by pebbles`: who has the most of something, best first. */
final readonly class Top extends Expression
{
    /** @param  string  $field  as typed */
    public function __construct(
        private Span $span,
        public Expression $count,
        public string $field,
        private string $folded,
    ) {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return [$this->count];
    }

    public function check(Pack $pack): array
    {
        $field = $pack->field($this->folded);
        if ($field !== null && $field->type->isNumber()) {
            return [];
        }
        $numbers = array_filter($pack->fields, static fn (Field $one): bool => $one->type->isNumber());
        $nearest = Suggestions::to($this->field, array_column($numbers, 'name'));

        return [
            new Finding(
                SyntaxErrorCode::UnknownPart,
                $this->span,
                data: ['of' => 'field', 'name' => $this->field]
                    + ($nearest === null ? [] : ['nearest' => "top … by $nearest"]),
            ),
        ];
    }

    public function prepared(): Closure
    {
        [$name, $of] = [$this->folded, $this->count->prepared()];

        return static function (EvaluationContext $run) use ($name, $of): ListValue|Gap {
            $field = $run->world->pack->field($name);
            $count = Numbers::whole($of($run));
            if ($field === null || $count instanceof Gap) {
                return $count instanceof Gap ? $count : new Gap(GapReason::Unknown, ['name' => $name]);
            }
            if ($count < 1 || $count > Limits::TOP) {
                return new Gap(GapReason::WrongKind, [
                    'text' => (string) $count,
                    'wanted' => 'a number from 1 to '.Limits::TOP,
                ]);
            }
            $best = $run->read(Request::top($field->id, $count, $run->world->pack->withoutPoints($field)));

            return $best instanceof ListValue || $best instanceof Gap ? $best : new Gap(GapReason::NotSearched);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $asked = $in->value($this->count);
        $count = $asked->asNumber();
        $most = max(1, min(Limits::TOP, $count->range->high ?? Limits::TOP));
        $isBad = $count->range === null || $count->range->low < 1 || $count->range->high > Limits::TOP;

        return ValueEstimate::items(
            Many::of(ValueEstimate::of(ValueKind::Person, 1, $in->profile->longestName), $most),
            $in->lengths->joint(),
        )
            ->orGap(GapReason::NotSearched, ...$count->gaps, ...$isBad ? [GapReason::WrongKind] : [])
            ->failing(
                $count->fails
                    ?? (($count->range !== null && ($count->range->high < 1 || $count->range->low > Limits::TOP))
                    || $asked->isNeverWhole()
                        ? CertainFailure::BadTop
                        : null),
            );
    }

    public function place(): string
    {
        return "top.{$this->folded}";
    }

    public function saysOwnText(): bool
    {
        return false;
    }
}
