<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/** A use of a name: `caller`, `counter.planks for target`, `list.knots 3`. */
final readonly class Call extends Expression
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

    public function children(): array
    {
        return [...$this->operands, ...array_values($this->named), ...($this->for === null ? [] : [$this->for])];
    }

    public function prepared(): Closure
    {
        if (! $this->name->takesPath($this->folded)) {
            $unknown = new Gap(GapReason::Unknown, ['name' => implode('.', $this->path)]);

            return static fn (): Gap => $unknown;
        }

        return $this->name->prepared($this);
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $estimate = $this->name->estimate($this, $in);
        foreach ($this->children() as $child) {
            $given = $in->value($child);
            $estimate = $estimate->orGap(...$given->gaps)->failing($given->fails);
        }

        return $estimate;
    }

    public function key(): ?string
    {
        return $this->name->key($this);
    }

    public function readsLine(): bool
    {
        return $this->name->readsLine();
    }

    public function check(Pack $pack): array
    {
        return $this->name->check($this, $pack);
    }

    public function place(): string
    {
        return implode('.', array_slice($this->folded, 0, 2));
    }

    public function whenNothing(Pack $pack): ?string
    {
        return $this->name->whenNothing($this, $pack);
    }

    public function isPerson(): bool
    {
        return $this->name->isPerson() && ! isset($this->path[1]);
    }

    public function isLevel(): bool
    {
        return $this->name->isPerson() && ($this->folded[1] ?? '') === 'level';
    }

    public function isLevels(): bool
    {
        return $this->name->isPerson() && ($this->folded[1] ?? '') === 'levels';
    }

    /** Whom a name is asked for is not said. */
    public function saysOwnText(): bool
    {
        return $this->name->saysOwnText();
    }

    public function isPlain(): bool
    {
        return $this->operands === [] && $this->named === [] && $this->for === null;
    }
}
