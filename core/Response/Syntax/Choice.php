<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\LengthBounds;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Value\Gap;

/** `[when …] … [else] … [end]` */
final readonly class Choice extends Filled
{
    /**
     * @param  list<Branch>  $branches
     * @param  list<Part>  $otherwise
     */
    public function __construct(public array $branches, public array $otherwise)
    {
    }

    public function prepared(): Closure
    {
        $branches = array_map(
            static fn (Branch $branch): array => [
                $branch->condition->prepared(),
                Row::of($branch->parts),
                $branch->span,
            ],
            $this->branches,
        );
        $otherwise = Row::of($this->otherwise);

        return static function (EvaluationContext $run) use ($branches, $otherwise): RenderedResponse {
            foreach ($branches as [$condition, $row, $span]) {
                $value = $condition($run);
                if ($value instanceof Gap) {
                    $run->trace?->slot($span, null, $value);
                    throw EvaluationFailure::gap($value, $span);
                }
                $holds = Truth::of($value);
                $run->trace?->choice($span, $holds);
                if ($holds) {
                    return new RenderedResponse($row->fill($run), $row->origins);
                }
            }

            return new RenderedResponse($otherwise->fill($run), $otherwise->origins);
        };
    }

    public function extent(EstimateContext $in): LengthBounds
    {
        return $in->choice($this);
    }

    public function inside(): array
    {
        return [
            ...array_merge(...array_map(static fn (Branch $branch): array => $branch->parts, $this->branches)),
            ...$this->otherwise,
        ];
    }

    public function values(): array
    {
        return array_map(static fn (Branch $branch): Expression => $branch->condition, $this->branches);
    }
}
