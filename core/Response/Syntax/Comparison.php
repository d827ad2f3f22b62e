<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Chat\Level;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Span;
use SilverParrot\Source\Suggestions;
use SilverParrot\Value\Gap;

/** `a is b`, `a is not one of b, c`, `a < b`, `a contains b`. */
final readonly class Comparison extends Expression
{
    /** @param  non-empty-list<Expression>  $right more than one for `one of` */
    public function __construct(
        public Relation $relation,
        public bool $isNegated,
        public Expression $left,
        public array $right,
    ) {
    }

    public function span(): Span
    {
        return $this->left->span()->through($this->right[count($this->right) - 1]->span());
    }

    public function children(): array
    {
        return [$this->left, ...$this->right];
    }

    public function prepared(): Closure
    {
        [$relation, $isNegated, $asked] = [$this->relation, $this->isNegated, $this->left->prepared()];
        $given = array_map(static fn (Expression $one): Closure => $one->prepared(), $this->right);
        $nothings = array_map(static fn (Expression $one): bool => $one->isNothing(), $this->right);

        return static function (EvaluationContext $run) use (
            $relation,
            $isNegated,
            $asked,
            $given,
            $nothings,
        ): bool|Gap {
            $left = $asked($run);
            foreach ($given as $at => $one) {
                $right = $one($run);
                // `is nothing` is the one comparison that ends a gap.
                $asksForNothing = $nothings[$at] && $relation === Relation::Is;
                if ($right instanceof Gap || ($left instanceof Gap && (! $asksForNothing || $left->isPending()))) {
                    return $right instanceof Gap ? $right : $left;
                }
                if ($asksForNothing ? $left === null || $left instanceof Gap : $relation->holds($left, $right, $run)) {
                    return ! $isNegated;
                }
            }

            return $isNegated;
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        if ($this->asksForNothing()) {
            return $in->lengths->yesNo();
        }
        $sides = array_map($in->value(...), $this->children());

        $endsGap =
            $this->relation === Relation::Is
            && array_filter($this->right, static fn (Expression $one): bool => $one->isNothing()) !== [];

        // The first of several is always looked at, the others perhaps.
        return $in->lengths
            ->yesNo()
            ->orGap(...array_merge(...array_map(static fn (ValueEstimate $one): array => $one->gaps, $sides)))
            ->failing($endsGap ? null : $sides[0]->fails ?? $sides[1]->fails);
    }

    public function thereWhen(bool $holds): array
    {
        $isSo = $holds !== $this->isNegated;
        if ($this->asksForNothing()) {
            return $isSo ? [] : NonNullFacts::with($this->left->key());
        }

        // With nothing everything is no, so what compares is there.
        return $isSo
            ? [
                ...NonNullFacts::with($this->left->key()),
                ...count($this->right) === 1 ? NonNullFacts::with($this->right[0]->key()) : [],
            ]
            : [];
    }

    /** A level is compared with a level: a word that names none would never hold. */
    public function check(Pack $pack): array
    {
        // A part of a word may be asked for too: only whole ones are levels.
        $isWhole =
            $this->relation !== Relation::StartsWith
            && $this->relation !== Relation::EndsWith
            && ($this->relation !== Relation::Contains || $this->left->isLevels());
        $findings = [];
        foreach ($isWhole && ($this->left->isLevel() || $this->left->isLevels()) ? $this->right : [] as $one) {
            if ($one instanceof Literal && is_string($one->value) && Level::named($one->value) === null) {
                $nearest = Suggestions::to($one->value, Level::words()) ?? self::begins($one->value);
                $findings[] = new Finding(
                    SyntaxErrorCode::UnknownLevel,
                    $one->span(),
                    data: ['text' => $one->value] + ($nearest === null ? [] : ['nearest' => "“{$nearest}”"]),
                    replacement: $nearest === null ? null : "\"$nearest\"",
                );
            }
        }

        return $findings;
    }

    /** “mods”, “subs”: what people call those who hold a level, in short. */
    private static function begins(string $word): ?string
    {
        $stem = rtrim(Fold::caseless(trim($word)), 's');

        return mb_strlen($stem) < 3
            ? null
            : array_values(
                array_filter(
                    Level::words(),
                    static fn (string $level): bool => str_starts_with(Fold::caseless($level), $stem),
                ),
            )[0] ?? null;
    }

    private function asksForNothing(): bool
    {
        return $this->relation === Relation::Is && count($this->right) === 1 && $this->right[0]->isNothing();
    }
}
